<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Checks\Cases;

use EmberDusk\Job\JobState;
use EmberDusk\Tests\Circuits;

/** Banks, converters on them, switches in leads: for each code a job that fires it and its neighbour that does not. */
final readonly class BankCases
{
    /** Ohm per metre of a core of 0.5 mm² at 40 °C (IEC 60228 and 60028, from memory), ohm of its two terminals. */
    private const THIN = 0.039 * (1 + 0.00393 * 20);

    private const ENDS = 0.004;

    /** @return iterable<string, array{string, callable(): array{JobState, JobState}}> */
    public static function all(): iterable
    {
        // 24 W of a resistor's law at 12 V behind a converter of the entire of its input.
        $on = static fn(array $converter, ?string $bank = 's1', float $input = 0.1): JobState => Circuits::in()
            ->bank('s1', ['sourceOhms' => 0.001])
            ->converter('s2', $converter + ['volts' => 12.0, 'ratedAmps' => 8.0, 'efficiency' => 1.0], $bank)
            ->controller('c1', ['commonOhms' => 0.0001, 'channelOhms' => 0.0001])
            ->run('r1', 1.0, Circuits::resistor(24.0, 1.0, 12.0), 's2', controller: 'c1')
            ->feed('f1', 'r1', 0)
            ->cable('k1', '2x2.5', 's2', 'c1', metres: 0.01)
            ->cable('k2', '2x2.5', 'c1', 'f1', metres: 0.01)
            ->cable('k3', '2x0.5', 's1', $bank === null ? 'c1' : 's2', metres: $input, fuse: 5.0)
            ->state();
        $alone = Circuits::in()
            ->converter('s2', ['volts' => 12.0, 'ratedAmps' => 8.0])
            ->run('r1', 1.0, ['volts' => 12.0], 's2')
            ->state();
        yield 'no-bank' => ['no-bank', static fn(): array => [$alone, $on([])]];
        // Common practice, no source: a bank of 12 V is at 14.4 V on charge and at 11.0 V when it is empty.
        yield 'converter-input on charge' => [
            'converter-input',
            static fn(): array => [$on(['inputMost' => 14.39]), $on(['inputMost' => 14.4])],
        ];
        // So many volts arrive of 11.0 where I = 24 W / V and R = (11.0 - V) / I: Ohm's law.
        $metres = static fn(float $volts): float => ((((11.0 - $volts) * $volts) / 24.0 - 0.001) / 2 - self::ENDS) /
            self::THIN;
        yield 'converter-input when it is empty' => [
            'converter-input',
            static fn(): array => [
                $on(['inputLeast' => 10.9], input: $metres(10.89)),
                $on(['inputLeast' => 10.9], input: $metres(10.91)),
            ],
        ];
        // 12 V over 6 ohm and the little that leads there: a little under 2 A.
        yield 'converter-least' => [
            'converter-least',
            static fn(): array => [$on(['leastAmps' => 2.0]), $on(['leastAmps' => 1.98])],
        ];
        $blocks = static fn(float $volts): JobState => Circuits::in("start\n2 r1\ndry\nbattery E1, 2 of 6 V, want 12 V")
            ->bank('s1', ['volts' => $volts], 2)
            ->run('r1', 1.0, ['volts' => 12.0], 's1')
            ->state();
        yield 'bank-other' => ['bank-other', static fn(): array => [$blocks(8.0), $blocks(6.0)]];
        $taps = static fn(int $series): JobState => Circuits::in("start\n2 r1\ndry\nbattery E1, 4 of 6 V")
            ->bank('s1', ['volts' => 6.0], $series, 1, 'E1')
            ->run('r1', 1.0, ['volts' => 6.0 * $series], 's1')
            ->state();
        yield 'bank-tapped' => ['bank-tapped', static fn(): array => [$taps(2), $taps(4)]];
        // A lithium cell from 3.0 to 4.2 V (common practice, no source); pixels that turn on below or above 3.0 V.
        $cell = static fn(float $turnOn): JobState => Circuits::in()
            ->bank('s1', ['volts' => 3.7, 'lowestVolts' => 3.0, 'restVolts' => 3.7, 'fullVolts' => 4.2])
            ->run('r1', 1.0, ['kind' => 'pixels', 'turnOnVolts' => $turnOn], 's1')
            ->feed('f1', 'r1', 0)
            ->cable('k1', '2x2.5', 's1', 'f1', fuse: 5.0)
            ->state();
        yield 'cell-dim' => ['cell-dim', static fn(): array => [$cell(2.99), $cell(3.01)]];
        // The instructions say 3 A, 24 V d.c.; 3 A flow less what 24 V lose on the way.
        $switched = static fn(float $amps, float $volts): JobState => Circuits::in()
            ->supply('s1', ['sourceOhms' => 0.001])
            ->controller('c1', ['commonOhms' => 0.0001, 'channelOhms' => 0.0001])
            ->run('r1', 1.0, Circuits::resistor(72.0, 1.0), 's1', controller: 'c1')
            ->feed('f1', 'r1', 0)
            ->cable('k1', '2x2.5', 's1', 'c1', metres: 0.01, switch: ['amps' => $amps, 'volts' => $volts])
            ->cable('k2', '2x2.5', 'c1', 'f1', metres: 0.01)
            ->state();
        yield 'switch-amps' => ['switch-amps', static fn(): array => [$switched(2.98, 24.0), $switched(3.0, 24.0)]];
        yield 'switch-volts' => ['switch-volts', static fn(): array => [$switched(5.0, 23.9), $switched(5.0, 24.0)]];
    }
}
