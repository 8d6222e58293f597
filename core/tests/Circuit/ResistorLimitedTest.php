<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Circuit;

use EmberDusk\Circuit\Loads\ResistorLimited;
use PHPUnit\Framework\TestCase;

final class ResistorLimitedTest extends TestCase
{
    public function test_nominal_volts_give_nominal_amps(): void
    {
        foreach (
            [[24.0, 0.02, 6, 2.95], [12.0, 0.01, 3, 3.1], [5.0, 0.02, 1, 2.0], [24.0, 0.02, 0, 0.0]]
            as [$volts, $amps, $leds, $ledVolts]
        ) {
            [$i] = (new ResistorLimited(
                volts: $volts,
                nominal: $amps,
                leds: $leds,
                ledVolts: $ledVolts,
                slope: 0.05,
            ))->evaluate([$volts]);
            self::assertEqualsWithDelta($amps, $i[0], 1e-12);
        }
    }

    /** An independent way: the amps are halved in on, from the law u = k V(I) + R I written as in the model's text. */
    public function test_the_current_solves_the_law_at_every_voltage(): void
    {
        [$volts, $nominal, $k, $led, $n] = [24.0, 0.0096, 6, 2.9, 0.05];
        $r = ($volts - $k * $led) / $nominal;
        $vs = $led - $n * log($nominal / 1e-12 + 1);
        $load = new ResistorLimited(volts: $volts, nominal: $nominal, leds: $k, ledVolts: $led, slope: $n);
        $points = [0.5, 8.0, 11.0, 13.5, 16.0, 17.4, 20.0, 24.0, 30.0, 60.0];
        [$amps, $slopes] = $load->evaluate($points);
        foreach ($points as $p => $u) {
            [$low, $high] = [-1e-12 * (1 - 1e-15), $u / $r + 1];
            for ($step = 0; $step < 200; $step++) {
                $i = ($low + $high) / 2;
                $k * ($vs + $n * log($i / 1e-12 + 1)) + $r * $i > $u ? ($high = $i) : ($low = $i);
            }
            self::assertEqualsWithDelta($i, $amps[$p], 1e-13 + 1e-10 * abs($i), "at {$u} V");
        }
        // The slope is the derivative.
        [$near] = $load->evaluate([20.0 - 1e-5, 20.0 + 1e-5]);
        self::assertEqualsWithDelta(($near[1] - $near[0]) / 2e-5, $slopes[6], 1e-8);
    }

    public function test_reversed_volts_leak_next_to_nothing(): void
    {
        [$i, $g] = (new ResistorLimited(volts: 24, nominal: 0.01, leds: 6, ledVolts: 2.9, slope: 0.05))->evaluate([
            -24.0,
            0.0,
        ]);
        self::assertEqualsWithDelta([-1e-12 - 24e-12, -1e-12], $i, 1e-18);
        self::assertSame([1e-12, 1e-12], $g);
    }

    public function test_no_voltage_overflows(): void
    {
        [$i, $g] = (new ResistorLimited(volts: 24, nominal: 0.01, leds: 6, ledVolts: 2.9, slope: 0.02))->evaluate([
            1e-9,
            1.0,
            1e3,
            1e6,
        ]);
        foreach ([...$i, ...$g] as $value) {
            self::assertTrue(is_finite($value));
        }
        self::assertGreaterThan($i[2], $i[3]);
    }
}
