<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Parts;

use EmberDusk\Parts\CutPart;
use EmberDusk\Parts\FilledLength;
use EmberDusk\Parts\JointedCuts;
use EmberDusk\Parts\Piece;
use EmberDusk\Parts\StockCut;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** Cut lists with joints against an independent optimiser. */
final class JoinedCutsTest extends TestCase
{
    /** Marks every 62.5 mm: eighty on a reel of 5 m, and 1.9 m of offcut is good for 1.875 m. */
    public function test_counts_strip_from_mark_to_mark(): void
    {
        $cut = StockCut::for(
            kit: 's',
            name: 'Strip',
            stock: 5000,
            wanted: [new Piece(62.5 * 50, 'Cove'), new Piece(62.5 * 30, 'Shelf'), new Piece(62.5 * 30, 'Rail')],
            offcuts: [1900],
            unit: 62.5,
        );
        self::assertSame([1, 0, 1875, 0], [$cut->bought, $cut->joints, $cut->usable(1900), $cut->left()]);
    }

    /**
     * Pieces of which some may be made of several, from offcuts and bought lengths: fewest bought, then fewest joints.
     *
     * @param  list<int>  $whole
     * @param  list<int>  $parted
     * @param  list<int>  $offcuts
     * @return array{int, int} bought and joints
     */
    private static function glpsolJoined(array $whole, array $parted, int $stock, array $offcuts, int $kerf = 0): array
    {
        $pieces = [...$whole, ...$parted];
        $bins = [...$offcuts, ...array_fill(0, (int) ceil(array_sum($pieces) / $stock) + 1, $stock)];
        $data = static fn(array $of): string => implode(
            ' ',
            array_map(static fn(int $i): string => $i + 1 . ' ' . $of[$i], array_keys($of)),
        );
        $model =
            'param n := ' .
            count($pieces) .
            '; param b := ' .
            count($bins) .
            '; param k := ' .
            count($whole) .
            '; param o := ' .
            count($offcuts) .
            ";\n" .
            "set I := 1..n; set B := 1..b; param w{I}; param L{B}; var x{I,B} >= 0, integer; var y{I,B} binary; var u{B} binary;\n" .
            "minimize cost: 1000*sum{j in B: j > o} u[j] + sum{i in I, j in B} y[i,j];\n" .
            "s.t. all{i in I}: sum{j in B} x[i,j] = w[i];\ns.t. on{i in I, j in B}: x[i,j] <= min(w[i], " .
            "L[j])*y[i,j];\ns.t. room{j in B}: sum{i in I} (x[i,j] + {$kerf}*y[i,j]) <= (L[j] + {$kerf})*u[j];\n" .
            "s.t. once{i in I: i <= k}: sum{j in B} y[i,j] = 1;\ns.t. next{j in B: j > o+1}: u[j] <= u[j-1];\n" .
            'solve; printf "RESULT %d %d\n", sum{j in B: j > o} u[j], sum{i in I, j in B} y[i,j] - n;' .
            "\ndata;\nparam w := " .
            $data($pieces) .
            ";\nparam L := " .
            $data($bins) .
            ";\nend;\n";
        $file = (string) tempnam(sys_get_temp_dir(), 'ember-cut');
        file_put_contents($file, $model);
        $process = new Process(['glpsol', '--math', $file, '--cuts']);
        $process->setTimeout(120)->mustRun();
        unlink($file);
        if (preg_match('/RESULT (\d+) (\d+)/', $process->getOutput(), $found) === 1) {
            return [(int) $found[1], (int) $found[2]];
        }

        return self::fail($process->getOutput());
    }

    /**
     * As StockCut asks: everything with one cut on top, which is taken off again.
     *
     * @param  list<int>  $whole
     * @param  list<int>  $parted
     * @param  list<int>  $offcuts
     */
    private static function cut(array $whole, array $parted, int $stock, array $offcuts, int $kerf): JointedCuts
    {
        /** @param  list<int>  $of @return list<int> */
        $more = static fn(array $of): array => array_values(array_map(static fn(int $mm): int => $mm + $kerf, $of));

        return JointedCuts::for($more($whole), $more($parted), $stock + $kerf, $more($offcuts), $kerf);
    }

    public function test_no_fewer_joints_would_do_with_the_fewest_lengths(): void
    {
        mt_srand(731);
        $joined = 0;
        for ($case = 0; $case < 45; $case++) {
            // The last third is sawn: every cut takes 1 to 3.
            $kerf = $case < 30 ? 0 : mt_rand(1, 3);
            $stock = [20, 25, 50][$case % 3];
            $whole = array_map(
                static fn(): int => mt_rand((int) ($stock * 0.2), (int) ($stock * 0.7)),
                range(1, mt_rand(1, 3)),
            );
            $parted = array_map(
                static fn(): int => mt_rand((int) ($stock * 0.3), (int) ($stock * 1.6)),
                range(1, mt_rand(1, 3)),
            );
            $offcuts = $case % 2 === 0 ? [] : [mt_rand(4, $stock - 1)];
            $found = self::cut($whole, $parted, $stock, $offcuts, $kerf);
            $said =
                "case {$case}: " .
                implode(' ', $whole) .
                ' | ' .
                implode(' ', $parted) .
                " from {$stock} and " .
                implode(' ', $offcuts) .
                ", kerf {$kerf}";
            self::assertTrue($found->proven, $said);
            self::assertSame(
                self::glpsolJoined($whole, $parted, $stock, $offcuts, $kerf),
                [$found->bought, $found->joints],
                $said,
            );
            $joined += $found->joints;
            $filled = array_map(static fn(FilledLength $f): FilledLength => $f->shorter($kerf), $found->filled);
            $lengthOf = static fn(CutPart $p): int => $p->length;
            foreach ($filled as $bar) {
                self::assertLessThanOrEqual(
                    $bar->length,
                    array_sum(array_map($lengthOf, $bar->parts)) + $kerf * (count($bar->parts) - 1),
                    $said,
                );
            }
            $cut = array_merge(...array_map(static fn(FilledLength $f): array => $f->parts, $filled));
            self::assertSame(array_sum($whole) + array_sum($parted), array_sum(array_map($lengthOf, $cut)), $said);
            $kept = array_values(
                array_map($lengthOf, array_filter($cut, static fn(CutPart $p): bool => $p->number === CutPart::WHOLE)),
            );
            sort($kept);
            sort($whole);
            self::assertSame($whole, $kept, $said);
        }
        self::assertGreaterThan(20, $joined, 'the cases do have joints');
    }
}
