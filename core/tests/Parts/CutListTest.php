<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Parts;

use EmberDusk\Parts\Bound;
use EmberDusk\Parts\CutList;
use EmberDusk\Parts\Cuts;
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
        $model = "param n := {$n}; param L := {$stock}; set I := 1..n; param w{I}; var y{I} binary; var x{I,I} binary;\n"
            ."minimize used: sum{j in I} y[j];\ns.t. once{i in I}: sum{j in I: j <= i} x[i,j] = 1;\ns.t. room{j in I}: sum{i in I: j <= i} w[i]*x[i,j] <= L*y[j];\nsolve; printf \"RESULT %d\\n\", used;\ndata;\nparam w := "
            .implode(' ', array_map(static fn (int $i): string => ($i + 1).' '.$pieces[$i], range(0, $n - 1))).";\nend;\n";
        $file = tempnam(sys_get_temp_dir(), 'ember-cut');
        file_put_contents((string) $file, $model);
        $process = new Process(['glpsol', '--math', (string) $file, '--cuts']);
        $process->setTimeout(60)->mustRun();
        unlink((string) $file);

        return preg_match('/RESULT (\d+)/', $process->getOutput(), $found) === 1 ? (int) $found[1] : self::fail($process->getOutput());
    }

    public function test_no_fewer_lengths_would_do(): void
    {
        mt_srand(512);
        for ($case = 0; $case < 30; $case++) {
            $stock = [2000, 2500, 5000][$case % 3];
            $pieces = array_map(static fn (): int => mt_rand((int) ($stock * 0.15), (int) ($stock * 0.75)), range(1, mt_rand(6, 11)));
            $cuts = CutList::of($pieces, $stock);
            self::check($pieces, $cuts);
            self::assertTrue($cuts->proven, "case {$case}");
            self::assertSame(self::glpsol($pieces, $stock), $cuts->bought, "case {$case}: ".implode(' ', $pieces).", {$stock}");
        }
    }

    /**
     * The paper-machine instance that textbooks on cutting stock print (thirteen widths from a master of 5,600 mm): 73 masters,
     * 0.401 % waste. Widths, orders and optimum from memory.
     */
    public function test_a_textbook_instance_comes_to_its_published_optimum(): void
    {
        $orders = [1380 => 22, 1520 => 25, 1560 => 12, 1710 => 14, 1820 => 18, 1880 => 18, 1930 => 20, 2000 => 10, 2050 => 12, 2100 => 14, 2140 => 16, 2150 => 18, 2200 => 20];
        $pieces = array_merge(...array_map(static fn (int $mm, int $n): array => array_fill(0, $n, $mm), array_keys($orders), array_values($orders)));
        $cuts = CutList::of($pieces, 5600);
        self::check($pieces, $cuts);
        self::assertSame([73, true], [$cuts->bought, $cuts->proven]);
        self::assertEqualsWithDelta(0.00401, $cuts->waste() / (73 * 5600), 5e-6);
    }

    public function test_what_is_in_the_van_is_used_first(): void
    {
        $cuts = CutList::of([1200, 900, 900, 500], 2000, [1000, 1250]);
        self::check([1200, 900, 900, 500], $cuts);
        self::assertSame([1, true], [$cuts->bought, $cuts->proven]);
        self::assertSame(0, CutList::of([900, 1200], 2000, [1000, 1250])->bought);
        self::assertSame([[], 0, 0], [CutList::of([], 2000)->lengths, CutList::of([], 2000)->bought, CutList::of([], 2000)->waste()]);
        // Three pieces over half a length need three, though their sum fits two (Martello and Toth).
        self::assertSame(3, Bound::of([1100, 1100, 1100], 2000));
    }

    public function test_what_is_longer_than_a_length_is_joined_or_refused_by_name(): void
    {
        $joined = StockCut::of('p', 'Profile', 2000, [[4500, 'Cove'], [1500, 'Shelf']], true);
        self::assertSame([2, 3, []], [$joined->joints, $joined->cuts->bought, $joined->tooLong]);
        self::assertSame(['Cove', 'Cove', 'Cove', 'Shelf'], (static function () use ($joined): array {
            $names = array_merge(...array_map(static fn (array $b): array => array_column($b['pieces'], 'what'), $joined->bars()));
            sort($names);

            return $names;
        })());
        self::assertSame(['Cove of 4.50 m'], StockCut::of('p', 'Profile', 2000, [[4500, 'Cove'], [1500, 'Shelf']], false)->tooLong);
    }
}
