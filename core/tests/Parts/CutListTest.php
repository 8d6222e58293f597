<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Parts;

use EmberDusk\Parts\CutList;
use EmberDusk\Parts\Cuts;
use EmberDusk\Parts\LengthBound;
use EmberDusk\Parts\Piece;
use EmberDusk\Parts\StockCut;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** Cut lists against glpsol, and against an instance whose optimum is published. */
final class CutListTest extends TestCase
{
    /** @param  list<int>  $pieces */
    private static function check(array $pieces, Cuts $cuts): void
    {
        $cut = array_merge(...array_column($cuts->lengths, 1));
        sort($pieces);
        sort($cut);
        self::assertSame($pieces, $cut, 'every piece is cut once');
        foreach ($cuts->lengths as [$length, $of]) {
            self::assertLessThanOrEqual($length, array_sum($of));
        }
    }

    /** @param  list<int>  $pieces */
    private static function glpsol(array $pieces, int $stock): int
    {
        $n = count($pieces);
        $model =
            "param n := {$n}; param L := {$stock}; set I := 1..n; param w{I}; var y{I} binary; var x{I,I} binary;\n" .
            "minimize used: sum{j in I} y[j];\ns.t. once{i in I}: sum{j in I: j <= i} x[i,j] = 1;\ns.t. room{j " .
            "in I}: sum{i in I: j <= i} w[i]*x[i,j] <= L*y[j];\nsolve; printf \"RESULT %d\\n\", " .
            "used;\ndata;\nparam w := " .
            implode(' ', array_map(static fn(int $i): string => $i + 1 . ' ' . $pieces[$i], range(0, $n - 1))) .
            ";\nend;\n";
        $file = tempnam(sys_get_temp_dir(), 'ember-cut');
        file_put_contents((string) $file, $model);
        $process = new Process(['glpsol', '--math', (string) $file, '--cuts']);
        $process->setTimeout(60)->mustRun();
        unlink((string) $file);
        if (preg_match('/RESULT (\d+)/', $process->getOutput(), $found) === 1) {
            return (int) $found[1];
        }

        return self::fail($process->getOutput());
    }

    public function test_no_fewer_lengths_would_do(): void
    {
        mt_srand(512);
        for ($case = 0; $case < 30; $case++) {
            $stock = [2000, 2500, 5000][$case % 3];
            $pieces = array_map(
                static fn(): int => mt_rand((int) ($stock * 0.15), (int) ($stock * 0.75)),
                range(1, mt_rand(6, 11)),
            );
            $cuts = CutList::for($pieces, $stock);
            self::check($pieces, $cuts);
            self::assertTrue($cuts->proven, "case {$case}");
            self::assertSame(
                self::glpsol($pieces, $stock),
                $cuts->bought,
                "case {$case}: " . implode(' ', $pieces) . ", {$stock}",
            );
        }
    }

    /**
     * The paper-machine instance that textbooks on cutting stock print (thirteen widths from a master of 5,600 mm): 73 masters,
     * 0.401 % waste. Widths, orders and optimum from memory.
     */
    public function test_a_textbook_instance_comes_to_its_published_optimum(): void
    {
        $orders = [
            1380 => 22,
            1520 => 25,
            1560 => 12,
            1710 => 14,
            1820 => 18,
            1880 => 18,
            1930 => 20,
            2000 => 10,
            2050 => 12,
            2100 => 14,
            2140 => 16,
            2150 => 18,
            2200 => 20,
        ];
        $pieces = array_merge(
            ...array_map(
                static fn(int $mm, int $n): array => array_fill(0, $n, $mm),
                array_keys($orders),
                array_values($orders),
            ),
        );
        $cuts = CutList::for($pieces, 5600);
        self::check($pieces, $cuts);
        self::assertSame([73, true], [$cuts->bought, $cuts->proven]);
        $cut = array_sum(array_merge(...array_column($cuts->lengths, 1)));
        self::assertEqualsWithDelta(0.00401, 1 - $cut / (73 * 5600), 5e-6);
    }

    public function test_uses_offcuts_in_the_van_first(): void
    {
        $cuts = CutList::for([1200, 900, 900, 500], 2000, [1000, 1250]);
        self::check([1200, 900, 900, 500], $cuts);
        self::assertSame([1, true], [$cuts->bought, $cuts->proven]);
        self::assertSame(0, CutList::for([900, 1200], 2000, [1000, 1250])->bought);
        self::assertSame([[], 0], [CutList::for([], 2000)->lengths, CutList::for([], 2000)->bought]);
        // Three pieces over half a length need three, though their sum fits two (Martello and Toth).
        self::assertSame(3, LengthBound::for([1100, 1100, 1100], 2000));
    }

    public function test_joins_pieces_longer_than_stock_or_refuses_them(): void
    {
        $of = static fn(string $joints): StockCut => StockCut::for('p', 'Profile', 2000, [
            new Piece(4500, 'Cove', 'cove', $joints),
            new Piece(1500, 'Shelf', 'shelf'),
        ]);
        $joined = $of('needed');
        self::assertSame(
            [2, 3, [], ['cove' => 2]],
            [$joined->joints, $joined->bought, $joined->tooLong, $joined->jointsOf()],
        );
        $cut = [];
        foreach ($joined->bars as $bar) {
            foreach ($bar->pieces as [$mm, $piece]) {
                $cut[$piece->what] = ($cut[$piece->what] ?? 0) + $mm;
            }
        }
        ksort($cut);
        self::assertSame(['Cove' => 4500, 'Shelf' => 1500], $cut);
        self::assertSame(
            [['Cove'], 1],
            [array_map(static fn(Piece $p): string => $p->what, $of('never')->tooLong), $of('never')->bought],
        );
        // Whole in an offcut that is long enough.
        $long = StockCut::for(
            kit: 'p',
            name: 'Profile',
            stock: 2000,
            wanted: [new Piece(4500, 'Cove', 'cove', 'never')],
            offcuts: [4600, 4700],
        );
        self::assertSame(
            [0, 4600, 100, true],
            [$long->bought, $long->bars[0]->length, $long->left(), $long->bars[0]->offcut],
        );
    }

    public function test_long_offcuts_go_to_the_longest_pieces_until_there_are_none(): void
    {
        $six = static fn(string $what, string $joints): Piece => new Piece(6000, $what, $what, $joints);
        $cut = StockCut::for(
            kit: 's',
            name: 'Strip',
            stock: 5000,
            wanted: [$six('Cove', 'needed'), $six('Shelf', 'never'), $six('Rail', 'never')],
            offcuts: [6100, 6500],
        );
        // Two are whole in the van's offcuts, shortest first; the third is too long, or joined where it may be.
        self::assertSame(
            [['Rail'], 0, 0],
            [array_map(static fn(Piece $p): string => $p->what, $cut->tooLong), $cut->bought, $cut->joints],
        );
        $joined = StockCut::for(
            kit: 's',
            name: 'Strip',
            stock: 5000,
            wanted: [$six('Shelf', 'never'), $six('Rail', 'never'), $six('Cove', 'needed')],
            offcuts: [6100, 6500],
        );
        self::assertSame([[], 2, ['Cove' => 1]], [$joined->tooLong, $joined->bought, $joined->jointsOf()]);
        self::assertSame(
            ['Rail'],
            array_map(
                static fn(Piece $p): string => $p->what,
                StockCut::tooLong(5000, [$six('Shelf', 'never'), $six('Rail', 'never')], [6100], 1.0),
            ),
        );
    }

    /** Three hundred random lists from reels and offcuts: every piece is there to its last mark, none that is to be whole is parted, no length is cut twice. */
    public function test_random_lists_lose_nothing(): void
    {
        mt_srand(19);
        $joints = 0;
        for ($case = 0; $case < 300; $case++) {
            $unit = [1.0, 50.0, 62.5, 1000 / 60][$case % 4];
            $units = static fn(float $mm): int => (int) floor($mm / $unit + 1e-6);
            $pieces = array_map(
                static fn(int $n): Piece => new Piece(
                    mt_rand(0, 120) * 60,
                    "P{$n}",
                    "run{$n}",
                    ['never', 'needed', 'saving'][mt_rand(0, 2)],
                ),
                range(1, mt_rand(1, 9)),
            );
            $offcuts = array_map(static fn(): float => (float) mt_rand(1, 8000), range(0, mt_rand(0, 3)));
            $cut = StockCut::for(
                kit: 'k',
                name: 'Kit',
                stock: [2000, 2500, 5000][$case % 3],
                wanted: $pieces,
                offcuts: $offcuts,
                unit: $unit,
            );
            $parts = $count = $used = [];
            $bought = 0;
            foreach ($cut->bars as $bar) {
                $sum = 0;
                foreach ($bar->pieces as [$mm, $piece]) {
                    $sum += (int) round($mm / $unit);
                    $parts[$piece->what] = ($parts[$piece->what] ?? 0) + (int) round($mm / $unit);
                    $count[$piece->what] = ($count[$piece->what] ?? 0) + 1;
                }
                self::assertSame(
                    (int) round($bar->length / $unit),
                    $sum + (int) round($bar->left / $unit),
                    "case {$case}",
                );
                $bought += $bar->offcut ? 0 : 1;
                $used = $bar->offcut ? [...$used, $bar->length] : $used;
            }
            self::assertLessThanOrEqual($cut->bought, $bought, "case {$case}");
            foreach ($pieces as $piece) {
                $missing = in_array($piece, $cut->tooLong, true);
                self::assertSame(
                    $missing ? 0 : $units($piece->mm),
                    $parts[$piece->what] ?? 0,
                    "case {$case}: {$piece->what}",
                );
                self::assertTrue(
                    $piece->joints !== 'never' || ($count[$piece->what] ?? 0) <= 1,
                    "case {$case}: {$piece->what} is no joints",
                );
                self::assertTrue(
                    !$missing || $piece->joints === 'never',
                    "case {$case}: only what may not be joined is too long",
                );
            }
            self::assertSame($cut->joints, array_sum($cut->jointsOf()), "case {$case}");
            $there = array_count_values(
                array_map(static fn(float $mm): int => (int) round($units($mm) * $unit), $offcuts),
            );
            foreach (array_count_values($used) as $mm => $times) {
                self::assertLessThanOrEqual($there[$mm] ?? 0, $times, "case {$case}: an offcut is there once");
            }
            $joints += $cut->joints;
        }
        self::assertGreaterThan(200, $joints);
    }
}
