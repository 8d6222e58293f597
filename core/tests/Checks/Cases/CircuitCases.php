<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Checks\Cases;

use EmberDusk\Job\JobState;
use EmberDusk\Plan\Place;
use EmberDusk\Tests\Circuits;
use EmberDusk\Values\NoSolution;

/**
 * For each code of kit and circuit a job that fires it and its neighbour that does not, within a hundredth of the limit.
 * Limits stand here as numbers of their own, with where they come from.
 */
final readonly class CircuitCases
{
    /**
     * Ohm per metre of a core of 0.5 and 2.5 mm² at 40 °C (IEC 60228 and 60028, from memory); ohm of a core's ends, of trunk and tail
     * together: three in terminals, one soldered.
     */
    private const THIN = 0.039 * (1 + 0.00393 * 20);

    private const THICK = 0.00798 * (1 + 0.00393 * 20);

    private const ENDS = 3 * 0.002 + 0.001;

    /**
     * A run that takes so many amps at 24 V as if it were a resistor, fed at its start.
     *
     * @param  array<string, mixed>  $supply
     * @param  array<string, mixed>  $more  of its strip
     */
    private static function amps(float $amps, string $trunk = '2x2.5', array $supply = [], array $more = []): Circuits
    {
        return Circuits::in()
            ->supply('s1', $supply + ['ratedAmps' => 20.0, 'sourceOhms' => 0.001])
            ->controller('c1', [
                'channelAmps' => 30.0,
                'totalAmps' => 30.0,
                'commonOhms' => 0.0001,
                'channelOhms' => 0.0001,
            ])
            ->run('r1', 3.0, Circuits::resistor($amps * 24.0, 3.0) + $more, 's1', controller: 'c1')
            ->feed('f1', 'r1', 0)
            ->cable('k1', $trunk, 's1', 'c1', metres: 0.01)
            ->cable('k2', '2x4', 'c1', 'f1', metres: 0.01);
    }

    /** A run of a resistor's law and so many ohms of rail a metre: its far end has 1 / cosh(a) of the near one's light. */
    private static function ladder(float $far, float $metres, string $notes = 'dry'): Circuits
    {
        $rail = self::rail($far, $metres);

        return Circuits::in($notes)
            ->supply('s1')
            ->controller('c1')
            ->run('r1', $metres, ['plusRail' => $rail, 'returnRail' => $rail, 'pitch' => 0.01], 's1', controller: 'c1')
            ->feed('f1', 'r1', 0)
            ->cable('k1', '2x2.5', 's1', 'c1', metres: 0.1)
            ->cable('k2', '2x2.5', 'c1', 'f1', metres: 0.1);
    }

    /** Ends of a run 0.99 m apart. */
    private const LOOP = "start\n1 r1\nright 0.99 r1\nright 1 r1\ndry";

    /** @return iterable<string, array{string, callable(): array{JobState, JobState}}> code, what fires it, what does not */
    public static function all(): iterable
    {
        yield from KitCases::all();
        yield from self::supplies();
        yield from self::cables();
        yield from self::light();
        yield from FixtureCases::all();
        yield from BankCases::all();
        yield from ItemCases::all();
        yield from DangerCases::all();
        yield from ControlCases::all();
    }

    /** @return iterable<string, array{string, callable(): array{JobState, JobState}}> */
    private static function supplies(): iterable
    {
        // Common practice, no source: half a volt by the names.
        $volts = static fn(float $supply): JobState => Circuits::simple()
            ->supply('s1', ['volts' => $supply])
            ->state();
        yield 'supply-volts above' => ['supply-volts', static fn(): array => [$volts(24.5), $volts(24.49)]];
        yield 'supply-volts below' => ['supply-volts', static fn(): array => [$volts(23.5), $volts(23.51)]];
        // Common practice: 144 W ask for 180 W, 7.5 A at 24 V.
        $rated = static fn(float $watts): JobState => Circuits::in()
            ->supply('s1', ['ratedAmps' => $watts / 24.0])
            ->run('r1', 15.0, ['watts' => 9.6], 's1')
            ->state();
        yield 'headroom' => ['headroom', static fn(): array => [$rated(179.0), $rated(180.1)]];
        $capped = static fn(float $amps, float $limit): Circuits => Circuits::in()
            ->supply('s1', ['ratedAmps' => 5.0, 'limitAmps' => $limit, 'sourceOhms' => 0.001])
            ->controller('c1')
            ->run('r1', 1.0, Circuits::resistor(24.0 * $amps), 's1', controller: 'c1', cap: 0.6)
            ->feed('f1', 'r1', 0)
            ->cable('k1', '2x2.5', 's1', 'c1', metres: 0.1)
            ->cable('k2', '2x2.5', 'c1', 'f1', metres: 0.1);
        yield 'cap' => [
            'cap',
            static fn(): array => [$capped(4.0, 8.0)->state(), $capped(4.0, 8.0)->checked('r1')->state()],
        ];
        // The instructions say that it limits at 6 A.
        yield 'peak' => ['peak', static fn(): array => [$capped(6.1, 6.0)->state(), $capped(5.9, 6.0)->state()]];
        $both = Circuits::in()
            ->supply('s1', ['volts' => 5.0])
            ->supply('s2', ['volts' => 5.0])
            ->feed('f1', 'r1', 0)
            ->feed('f2', 'r1', 20)
            ->cable('k1', '2x2.5', 's1', 'f1')
            ->cable('k2', '2x2.5', 's2', 'f2');
        yield 'two-positives' => [
            'two-positives',
            static fn(): array => [
                $both->run('r1', 1.0, ['kind' => 'pixels'], 's1')->state(),
                $both->run('r1', 1.0, ['kind' => 'pixels'], 's1', zones: [10])->state(),
            ],
        ];
        // A bank of 12 V is at 14.4 V on charge; 24 W of a resistor's law are 6 ohm, so u = 14.4 x 6 / (6 + R): common
        // practice, no source: 1.15 of the label, 13.8 V.
        $swing = static fn(float $volts): JobState => Circuits::in()
            ->bank('s1', ['sourceOhms' => 0.001])
            ->controller('c1', ['commonOhms' => 0.0001, 'channelOhms' => 0.0001])
            ->run('r1', 1.0, Circuits::resistor(24.0, 1.0, 12.0), 's1', controller: 'c1')
            ->feed('f1', 'r1', 0)
            ->cable('k1', '2x0.5', 's1', 'c1', metres: (6.0 * (14.4 / $volts - 1) - 2 * self::ENDS) / (2 * self::THIN))
            ->cable('k2', '2x2.5', 'c1', 'f1', metres: 0.01)
            ->state();
        yield 'swing' => ['swing', static fn(): array => [$swing(1.005 * 13.8), $swing(0.995 * 13.8)]];
        $mains = static fn(string $notes): JobState => Circuits::in($notes)
            ->supply('s1')
            ->run('r1', 2.0, [], 's1')
            ->state();
        $bank = "start\n2 r1\ndry\nbattery E1, 2 of 6 V, want 12 V";
        yield 'no-mains' => ['no-mains', static fn(): array => [$mains($bank), $mains("{$bank}\noutlet P1 at 0.5")]];
        // A boat: the batteries are in another place of the job, and no place has an outlet.
        $aboard = static fn(string $engine): JobState => Circuits::in("start\n2 r1\ndry")
            ->put('places', 'engine', new Place('engine', 'Engine space', "start\n1\n{$engine}"))
            ->supply('s1')
            ->run('r1', 2.0, [], 's1')
            ->state();
        yield 'no-mains in the whole job' => [
            'no-mains',
            static fn(): array => [
                $aboard('battery E1, 2 of 6 V, want 12 V'),
                $aboard("battery E1, 2 of 6 V, want 12 V\noutlet P1 at 0.5"),
            ],
        ];
        // IEC 60364-4-41, from memory: 30 V where it is damp; 60 V where it is dry, a bank on charge has 14.4/12 of its name.
        $damp = static fn(float $volts): JobState => Circuits::in('damp')
            ->supply('s1', ['volts' => $volts])
            ->run('r1', 2.0, ['volts' => $volts], 's1')
            ->state();
        yield 'no-mains nowhere' => [
            'no-mains',
            static fn(): array => [
                $mains($bank),
                $mains('start
2 r1
dry'),
            ],
        ];
        yield 'touch where it is damp' => ['touch', static fn(): array => [$damp(30.2), $damp(30.0)]];
        $dry = static fn(float $block): JobState => Circuits::in()
            ->bank('s1', ['volts' => $block], 5)
            ->run('r1', 2.0, ['volts' => 5 * $block], 's1')
            ->state();
        yield 'touch where it is dry' => ['touch', static fn(): array => [$dry(10.05), $dry(9.99)]];
        yield 'unsolved' => [
            'unsolved',
            static fn(): array => [
                new JobState(
                    Circuits::simple()->plan(),
                    ['r1' => new NoSolution('It does not settle.')],
                    new \EmberDusk\Kit\NoShelf(),
                ),
                Circuits::simple()->state(),
            ],
        ];
    }

    /** @return iterable<string, array{string, callable(): array{JobState, JobState}}> */
    private static function cables(): iterable
    {
        // BS 7671 table 4F3A, from memory: 0.75 mm² carries 6 A; table 4D5: 1.5 mm² clipped to a surface 20 A.
        yield 'cable-amps' => [
            'cable-amps',
            static fn(): array => [self::amps(6.04, '2x0.75')->state(), self::amps(5.99, '2x0.75')->state()],
        ];
        $fixed = static fn(float $amps, string $laid): JobState => self::amps($amps)
            ->cable('k1', '2x1.5r', 's1', 'c1', metres: 0.01, laid: $laid)
            ->state();
        yield 'cable-amps of a fixed one' => [
            'cable-amps',
            static fn(): array => [$fixed(14.66, 'conduit'), $fixed(14.6, 'conduit')],
        ];
        yield 'laying' => ['laying', static fn(): array => [$fixed(5.0, ''), $fixed(5.0, 'surface')]];
        yield 'capacity-unknown' => [
            'capacity-unknown',
            static fn(): array => [self::amps(0.5, '2x28awg')->state(), self::amps(0.5, '2x26awg')->state()],
        ];
        // Table 4F3A: 2.5 mm² carries 25 A.
        $overload = static fn(float $amps): JobState => self::amps(5.0, '2x2.5', ['overloadAmps' => $amps])->state();
        yield 'cable-protection' => [
            'cable-protection',
            static fn(): array => [$overload(32.3), self::amps(5.0, '2x4', ['overloadAmps' => 32.0])->state()],
        ];
        yield 'cable-protection of the trunk' => [
            'cable-protection',
            static fn(): array => [
                self::amps(5.0, '2x2.5', ['overloadAmps' => 25.2])->state(),
                self::amps(5.0, '2x2.5', ['overloadAmps' => 25.0])->state(),
            ],
        ];
        $fused = static fn(float $load, float $fuse): JobState => self::amps($load, '2x4', ['overloadAmps' => 60.0])
            ->cable('k1', '2x2.5', 's1', 'c1', metres: 0.01, fuse: $fuse)
            ->state();
        yield 'fuse-large' => ['fuse-large', static fn(): array => [$fused(5.0, 25.2), $fused(5.0, 25.0)]];
        // Common practice, no source: a fuse of 10 A carries 8 A permanently.
        yield 'fuse-small' => ['fuse-small', static fn(): array => [$fused(8.05, 10.0), $fused(7.98, 10.0)]];
        $bank = static fn(?float $fuse): JobState => Circuits::in()
            ->bank('s1')
            ->fixture('x1', 2)
            ->cable('k1', '2x2.5', 's1', 'x1', metres: 1.0, fuse: $fuse)
            ->state();
        yield 'tap-fuse' => ['tap-fuse', static fn(): array => [$bank(null), $bank(5.0)]];
        // Common practice, no source: clip-on connectors 3 A.
        $joint = static fn(float $amps): JobState => self::amps($amps)
            ->cable('k1', '2x2.5', 's1', 'c1', metres: 0.01, joint: 3.0)
            ->state();
        yield 'joint-amps' => ['joint-amps', static fn(): array => [$joint(3.05), $joint(3.0)]];
        // Common practice, no source: 5 A into one end; or as the entry says.
        yield 'rail-amps' => ['rail-amps', static fn(): array => [self::amps(5.05)->state(), self::amps(5.0)->state()]];
        $stated = static fn(float $amps): JobState => self::amps($amps, more: ['railAmps' => 8.0])->state();
        yield 'rail-amps as stated' => ['rail-amps', static fn(): array => [$stated(8.07), $stated(8.0)]];
        $reckoned = static fn(bool $reckoned): JobState => Circuits::simple()
            ->cable('k2', '2x2.5', 'c1', 'f1', reckoned: $reckoned)
            ->state();
        yield 'reckoned' => ['reckoned', static fn(): array => [$reckoned(true), $reckoned(false)]];
        // IEC 60364-7-715, from memory: 5 % of 24 V are 1.2 V. 144 W of a resistor's law are 4 ohm: at 22.8 V 5.7 A flow
        // through 2 x (ends + r L) of the trunk, 2 mohm of controller and the tail.
        $lost = static fn(float $volts): JobState => Circuits::in()
            ->supply('s1', ['sourceOhms' => 0.001])
            ->controller('c1', ['commonOhms' => 0.001, 'channelOhms' => 0.001])
            ->run('r1', 1.0, Circuits::resistor(144.0), 's1', controller: 'c1')
            ->feed('f1', 'r1', 0)
            ->cable(
                'k1',
                '2x2.5',
                's1',
                'c1',
                metres: (($volts / (24 - $volts)) * 4.0 - 0.002 - 2 * (self::ENDS + self::THICK * 0.1)) /
                    (2 * self::THICK),
            )
            ->cable('k2', '2x2.5', 'c1', 'f1', metres: 0.1)
            ->state();
        yield 'drop' => ['drop', static fn(): array => [$lost(1.206), $lost(1.194)]];
    }

    /** @return iterable<string, array{string, callable(): array{JobState, JobState}}> */
    private static function light(): iterable
    {
        // Common practice, no source: 0.90 of the brightest.
        yield 'evenness' => [
            'evenness',
            static fn(): array => [self::ladder(0.895, 4.0)->state(true), self::ladder(0.906, 4.0)->state(true)],
        ];
        // Common practice, no source: 5 % where ends are within a metre.
        yield 'seam' => [
            'seam',
            static fn(): array => [
                self::ladder(0.9485, 2.99, self::LOOP)->state(true),
                self::ladder(0.9525, 2.99, self::LOOP)->state(true),
            ],
        ];
        yield 'seam by a metre' => [
            'seam',
            static fn(): array => [
                self::ladder(0.94, 2.99, self::LOOP)->state(true),
                self::ladder(0.94, 3.01, "start\n1 r1\nright 1.01 r1\nright 1 r1\ndry")->state(true),
            ],
        ];
        $two = static fn(float $far): JobState => self::meeting($far)->state(true);
        yield 'seam-runs' => ['seam-runs', static fn(): array => [$two(0.948), $two(0.953)]];
        $far = static fn(float $far): JobState => self::meeting(
            $far,
            'start
2 r1
1.5
2 r2
dry',
        )->state(true);
        yield 'seam-runs by a metre' => ['seam-runs', static fn(): array => [$two(0.9), $far(0.9)]];
        yield 'colour-shift' => [
            'colour-shift',
            static fn(): array => [ColourCases::shifted(3.02)->state(true), ColourCases::shifted(2.98)->state(true)],
        ];
    }

    /** A dull run whose far end meets the near end of one that is not. */
    private static function meeting(float $far, string $notes = "start\n2 r1\n2 r2\ndry"): Circuits
    {
        return self::ladder($far, 2.0, $notes)
            ->run(
                'r2',
                2.0,
                ['plusRail' => self::rail($far, 2.0), 'returnRail' => self::rail($far, 2.0), 'pitch' => 0.01],
                's1',
                controller: 'c1',
            )
            ->feed('f2', 'r2', 0)
            ->cable('k3', '2x2.5', 'c1', 'f2', metres: 0.1);
    }

    /** Both rails and the load of a uniform line: a² = 2 r g L², g = (W/m) / V² (textbook). */
    private static function rail(float $far, float $metres): float
    {
        return acosh(1 / $far) ** 2 / (2 * (9.6 / 24 ** 2) * $metres ** 2);
    }
}
