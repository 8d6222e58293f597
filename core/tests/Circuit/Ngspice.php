<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Circuit;

use PHPUnit\Framework\Assert;
use RuntimeException;

/** The reference simulator, from Debian; tests only. */
final class Ngspice
{
    /**
     * Volts of every node of a netlist but 0 and the x_ nodes inside loads.
     *
     * @return array<string, float>
     */
    public static function nodes(string $netlist): array
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'ember');
        file_put_contents(
            $file,
            str_replace(".op\n.end\n", ".control\nop\nset numdgt=12\nprint all\n.endc\n.end\n", $netlist),
        );
        exec('ngspice -b ' . escapeshellarg($file) . ' 2>/dev/null', $lines, $code);
        unlink($file);
        $nodes = [];
        foreach ($lines as $line) {
            if (
                preg_match('/^([a-z][a-z0-9_]*) = (\S+)$/', trim($line), $found) === 1 &&
                !str_starts_with($found[1], 'x_')
            ) {
                $nodes[$found[1]] = (float) $found[2];
            }
        }
        if ($nodes === []) {
            throw new RuntimeException("ngspice gave no volts ({$code}): " . implode("\n", array_slice($lines, 0, 20)));
        }

        return $nodes;
    }

    /** @param  array<string, float>  $ours */
    public static function assertAgrees(string $netlist, array $ours): void
    {
        $theirs = self::nodes($netlist);
        Assert::assertSame([], array_diff_key($ours, $theirs), 'nodes that ngspice has not');
        Assert::assertSame([], array_diff_key($theirs, $ours), 'nodes that only ngspice has');
        $worst = max(0.0, ...array_map(static fn(string $n): float => abs($ours[$n] - $theirs[$n]), array_keys($ours)));
        Assert::assertLessThan(1e-3, $worst, 'volts apart at the worst node');
    }
}
