<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Faults;

use EmberDusk\Bench\Meter\MeterCommand;
use EmberDusk\Bench\Meter\Multimeter;
use EmberDusk\Bench\Meter\Reading;

/**
 * The reading with the highest expected information: the mutual information between the meter's display and the fault class, over the likely
 * classes, with displays grouped into steps of the meter's resolution.
 */
final readonly class NextReading implements ReadingChooser
{
    /** Possibilities that are looked at, and the share below which one is not. */
    private const MOST = 160;

    private const LEAST = 2e-4;

    /** A Gaussian as three values with their shares. */
    private const POINTS = [[-1.3, 0.27], [0.0, 0.46], [1.3, 0.27]];

    /** Deviations that a step is wide; meter's tolerances that a single possibility is taken to be wide at most. */
    private const STEP = 2.5;

    private const WIDE = 6.0;

    /** Bits below which a reading is not worth taking. */
    private const WORTH = 0.01;

    /** Share of good wiring from which readings are chosen by what they rule out. */
    private const MOSTLY = 0.6;

    /** Bits charged for switching the lamps off and on again. */
    private const TROUBLE = 0.05;

    public function next(FaultBelief $belief, array $readings): ?array
    {
        $read = [];
        foreach ($readings as $reading) {
            $read["{$reading->command->key} {$reading->spot->id}"] = true;
        }
        $likely = self::likely($belief);
        if ($likely === []) {
            // No fault in the list explains the readings: no further reading can separate them.
            return null;
        }
        $share = $belief->classes[$belief->top()];
        if (
            $belief->open !== [] &&
            ($share >= BenchRun::SURE || ($belief->top() === FaultBelief::NONE && $share > self::MOSTLY))
        ) {
            $covering = Coverage::next($belief, $readings);
            if ($covering !== null) {
                return $covering;
            }
        }
        $best = null;
        $most = self::WORTH;
        foreach (Predictions::COMMANDS as $command) {
            foreach ($belief->predictions->spots as $spot) {
                $key = "{$command} {$spot->id}";
                if (isset($read[$key]) || !isset($belief->predictions->base[$key])) {
                    continue;
                }
                $bits =
                    self::information($belief, $likely, $key) - ($command === MeterCommand::DARK ? self::TROUBLE : 0.0);
                if ($bits > $most + 1e-6) {
                    [$best, $most] = [[$spot, MeterCommand::read($command)], $bits];
                }
            }
        }

        return $best ?? Coverage::next($belief, $readings);
    }

    /** @return array<int, float> shares by component */
    private static function likely(FaultBelief $belief): array
    {
        $likely = array_filter(
            array_slice($belief->weights, 0, count($belief->components), true),
            static fn(float $w): bool => $w > self::LEAST,
        );
        arsort($likely);

        return array_slice($likely, 0, self::MOST, true);
    }

    /** @param  array<int, float>  $likely */
    private static function information(FaultBelief $belief, array $likely, string $key): float
    {
        $of = $belief->predictions;
        $shares = [$key => 1.0];
        $tolerance = Multimeter::tolerance($of->base[$key]);
        $expects = $classes = [];
        $spread = $all = 0.0;
        foreach ($likely as $n => $weight) {
            $component = $belief->components[$n];
            $expected = $component->expects($shares, $tolerance);
            [$value, $variance] = [$expected->value, $expected->variance];
            $expects[] = [$component->class, $weight, $value, sqrt($variance)];
            $classes[$component->class] = ($classes[$component->class] ?? 0.0) + $weight;
            $spread += $weight * min(sqrt($variance), self::WIDE * $tolerance);
            $all += $weight;
        }
        // Not finer than the uncertainty of rails and supplies.
        $step = self::STEP * max($tolerance / sqrt(3), $spread / $all);
        $bins = [];
        foreach ($expects as [$class, $weight, $value, $deviation]) {
            foreach (self::POINTS as [$at, $share]) {
                $bin = (int) round(($value + $at * $deviation) / $step);
                $bins[$bin][$class] = ($bins[$bin][$class] ?? 0.0) + $weight * $share;
            }
        }
        $left = 0.0;
        foreach ($bins as $bin) {
            $left += self::entropy($bin);
        }

        return self::entropy($classes) - $left;
    }

    /** @param  array<string, float>  $weights  Bits, times their sum. */
    private static function entropy(array $weights): float
    {
        $all = array_sum($weights);
        $bits = 0.0;
        foreach ($weights as $w) {
            if ($w > 0) {
                $bits -= $w * log($w / $all, 2);
            }
        }

        return $bits;
    }
}
