<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Checks\Cases;

use EmberDusk\Job\JobState;
use EmberDusk\Tests\Circuits;

/** Fixtures on supplies and under modules: for each code what fires it and its neighbour. */
final readonly class FixtureCases
{
    /** Ohm per metre of 0.5 mm² at 40 °C (IEC 60228 and 60028, from memory). */
    private const THIN = 0.039 * (1 + 0.00393 * 20);

    /**
     * Two lamps of 6 W on 12 V through so many ohms all in all, with which V = E - (P / V) R.
     *
     * @param  float  $least  volts that they need
     */
    private static function behind(float $ohms, float $least = 9.0, bool $planned = false): JobState
    {
        return Circuits::in()
            ->supply('s1', ['volts' => 12.0, 'sourceOhms' => 0.005])
            ->fixture('x1', 2, ['leastVolts' => $least])
            ->cable('k1', '2x0.5', 's1', 'x1', metres: (($ohms - 0.005) / 2 - 0.004) / self::THIN)
            ->state($planned);
    }

    /** Ohm at which so many volts are left of 12 V when 12 W are taken. */
    private static function ohms(float $volts): float
    {
        return ((12.0 - $volts) * $volts) / 12.0;
    }

    /** @return iterable<string, array{string, callable(): array{JobState, JobState}}> */
    public static function all(): iterable
    {
        $lamp = Circuits::in()
            ->supply('s1', ['volts' => 12.0])
            ->fixture('x1', 2);
        yield 'lamp-loose' => [
            'lamp-loose',
            static fn(): array => [$lamp->state(), $lamp->cable('k1', '2x2.5', 's1', 'x1')->state()],
        ];
        // The instructions say 9 V.
        yield 'lamp-volts' => [
            'lamp-volts',
            static fn(): array => [self::behind(self::ohms(8.97)), self::behind(self::ohms(9.03))],
        ];
        // IEC 60364-7-715, from memory: 5 % of 12 V are 0.6 V; the drop inside the source is not included.
        $lost = static fn(float $volts): JobState => self::behind(self::ohms(12.0 - $volts) - 0.005 + 0.005);
        yield 'lamp-drop' => ['lamp-drop', static fn(): array => [$lost(0.61), $lost(0.604)]];
        // 12 W behind R from 12 V: no answer from R = E² / 4 P = 3 ohm on (textbook, greatest power that is transferred).
        yield 'collapse' => [
            'collapse',
            static fn(): array => [self::behind(3.015, 5.0, true), self::behind(2.985, 5.0, true)],
        ];
        yield from self::modules();
        yield from self::lines();
    }

    /** @return iterable<string, array{string, callable(): array{JobState, JobState}}> */
    private static function modules(): iterable
    {
        $under = static fn(
            ?string $module,
            string $dim,
            array $kit,
            int $count,
            float $watts = 5.0,
        ): JobState => Circuits::in()
            ->module('m1', $kit)
            ->fixture(
                'x1',
                $count,
                ['dim' => $dim, 'watts' => $watts, 'volts' => 230.0, 'leastVolts' => 100.0],
                $module,
            )
            ->state();
        $cut = ['kind' => 'phasecut', 'mostWatts' => 250, 'leastWatts' => 5, 'family' => 'rf'];
        yield 'no-module' => [
            'no-module',
            static fn(): array => [$under(null, 'phase-cut', $cut, 2), $under('m1', 'phase-cut', $cut, 2)],
        ];
        // The instructions say 5 W to 250 W of LED.
        yield 'phase-watts' => [
            'phase-watts',
            static fn(): array => [$under('m1', 'phase-cut', $cut, 50, 5.02), $under('m1', 'phase-cut', $cut, 50)],
        ];
        yield 'phase-least' => [
            'phase-least',
            static fn(): array => [$under('m1', 'phase-cut', $cut, 1, 4.97), $under('m1', 'phase-cut', $cut, 1)],
        ];
        // Common practice, no source: 1 mA an input.
        $line = ['kind' => 'analog', 'milliamps' => 100, 'sinks' => true, 'outputs' => 1, 'family' => 'rf'];
        $relay = $line + ['relayAmps' => 5];
        yield 'analog-current' => [
            'analog-current',
            static fn(): array => [$under('m1', '0-10 V', $relay, 101), $under('m1', '0-10 V', $relay, 100)],
        ];
        yield 'analog-off' => [
            'analog-off',
            static fn(): array => [$under('m1', '0-10 V', $line, 2), $under('m1', '0-10 V', $relay, 2)],
        ];
        // IEC 62386, from memory: 64 addresses, 250 mA, 2 mA a device.
        $bus = ['kind' => 'dali', 'milliamps' => 250, 'addresses' => 64, 'family' => 'rf'];
        yield 'dali-addresses' => [
            'dali-addresses',
            static fn(): array => [$under('m1', 'dali', $bus, 65), $under('m1', 'dali', $bus, 64)],
        ];
        yield 'dali-current' => [
            'dali-current',
            static fn(): array => [$under('m1', 'dali', $bus, 126), $under('m1', 'dali', $bus, 125)],
        ];
    }

    /** @return iterable<string, array{string, callable(): array{JobState, JobState}}> */
    private static function lines(): iterable
    {
        $bus = ['kind' => 'dali', 'milliamps' => 250, 'addresses' => 64, 'family' => 'rf'];
        $line = [
            'kind' => 'analog',
            'milliamps' => 100,
            'sinks' => true,
            'relayAmps' => 5,
            'outputs' => 1,
            'family' => 'rf',
        ];
        $under = static fn(array $module, string $dim, int $count): Circuits => Circuits::in()
            ->module('m1', $module)
            ->fixture('x1', $count, ['dim' => $dim, 'volts' => 230.0], 'm1');
        $laid = static fn(
            array $module,
            string $dim,
            int $count,
            float $metres,
            string $size = '2x0.5',
        ): JobState => $under($module, $dim, $count)->cable('k1', $size, 'm1', 'x1', metres: $metres)->state();
        yield 'no control line' => [
            'line-open',
            static fn(): array => [$under($bus, 'dali', 4)->state(), $laid($bus, 'dali', 4, 9.0)],
        ];
        yield 'control line not measured' => [
            'reckoned',
            static fn(): array => [
                $under($line, '0-10 V', 4)->cable('k1', '2x0.5', 'm1', 'x1', reckoned: true)->state(),
                $laid($line, '0-10 V', 4, 9.0),
            ],
        ];
        // IEC 62386, from memory: 2 V at 250 mA, so 8 ohm of loop; two soldered joints of 1 milliohm in each core.
        $metres = static fn(float $loop): float => ($loop / 2 - 0.002) / self::THIN;
        yield 'dali-drop' => [
            'dali-drop',
            static fn(): array => [$laid($bus, 'dali', 4, $metres(8.04)), $laid($bus, 'dali', 4, $metres(7.96))],
        ];
        yield 'dali-metres' => [
            'dali-metres',
            static fn(): array => [$laid($bus, 'dali', 4, 301.0, '2x2.5'), $laid($bus, 'dali', 4, 299.5, '2x2.5')],
        ];
        // Common practice, no source: 0.1 V; 50 inputs of 1 mA, so 2 ohm of loop.
        yield 'analog-drop' => [
            'analog-drop',
            static fn(): array => [
                $laid($line, '0-10 V', 50, $metres(2.01)),
                $laid($line, '0-10 V', 50, $metres(1.99)),
            ],
        ];
        $both = $under($line + ['addresses' => 16, 'setBy' => 'switch', 'setting' => 'a is 0-10 V'], 'dali', 4);
        $switched = static fn(?string $set): JobState => $both
            ->put('modules', 'm1', $both->plan()->modules['m1']->set($set))
            ->state();
        yield 'module-switch not known' => [
            'module-switch',
            static fn(): array => [$switched(null), $switched('dali')],
        ];
        yield 'module-switch on the other method' => [
            'module-switch',
            static fn(): array => [$switched('0-10 V'), $switched('dali')],
        ];
    }
}
