<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Checks\Cases;

use EmberDusk\Job\JobState;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Show;
use EmberDusk\Plan\ShowStep;
use EmberDusk\Plan\Splice;
use EmberDusk\Tests\Circuits;

/** Dangers of kit that does not fit where it stands: for each code a job that fires it and its neighbour just inside. */
final readonly class DangerCases
{
    /** @return iterable<string, array{string, callable(): array{JobState, JobState}}> */
    public static function all(): iterable
    {
        yield from self::boards();
        yield from self::banks();
        yield from self::places();
        yield from self::plugs();
        yield from self::modules();
        // BS 7671 tables 4F3A and 4D5, from memory: 1.5 mm² flexible 16 A, 10 A in an insulated wall.
        $wall = static fn(float $watts): JobState => Circuits::in()
            ->supply('s1', ['ratedAmps' => 20.0, 'overloadAmps' => 20.0, 'sourceOhms' => 0.001])
            ->controller('c1', ['channelAmps' => 20.0, 'commonOhms' => 0.0001, 'channelOhms' => 0.0001])
            ->run('r1', 2.0, Circuits::resistor($watts, 2.0), 's1', controller: 'c1')
            ->feed('f1', 'r1', 0)
            ->cable('k1', '2x1.5', 's1', 'c1', metres: 0.01, fuse: 10.0, laid: 'wall')
            ->cable('k2', '2x4', 'c1', 'f1', metres: 0.01)
            ->state();
        yield 'flexible cable in an insulated wall' => [
            'cable-amps',
            static fn(): array => [$wall(10.1 * 24), $wall(9.9 * 24)],
        ];
        // Table 4C1: three cables in a bundle carry 0.7 of 16 A, 11.2 A.
        $bundle = static fn(string $notes): JobState => Circuits::in($notes)
            ->supply('s1', ['ratedAmps' => 20.0, 'overloadAmps' => 20.0, 'sourceOhms' => 0.001])
            ->controller('c1', ['channelAmps' => 20.0, 'commonOhms' => 0.0001, 'channelOhms' => 0.0001])
            ->run('r1', 2.0, Circuits::resistor(12 * 24, 2.0), 's1', controller: 'c1')
            ->feed('f1', 'r1', 0)
            ->cable('k1', '2x1.5', 's1', 'c1', metres: 0.01, fuse: 10.0)
            ->cable('k2', '2x4', 'c1', 'f1', metres: 0.01)
            ->state();
        yield 'cables in a bundle' => [
            'cable-amps',
            static fn(): array => [$bundle("dry\nbundle 3"), $bundle("dry\nbundle 2")],
        ];
        // Air of 60 °C is judged at 50 °C, 0.71 of 16 A: 11.36 A.
        $hot = static fn(float $amps): JobState => Circuits::in("dry\nair 60")
            ->supply('s1', ['ratedAmps' => 20.0, 'overloadAmps' => 20.0, 'sourceOhms' => 0.001, 'derateAbove' => 70.0])
            ->controller('c1', ['channelAmps' => 20.0, 'commonOhms' => 0.0001, 'channelOhms' => 0.0001])
            ->run('r1', 2.0, Circuits::resistor($amps * 24, 2.0), 's1', controller: 'c1')
            ->feed('f1', 'r1', 0)
            ->cable('k1', '2x1.5', 's1', 'c1', metres: 0.01, fuse: 15.0)
            ->cable('k2', '2x4', 'c1', 'f1', metres: 0.01)
            ->state();
        yield 'air above the table' => ['cable-amps', static fn(): array => [$hot(11.5), $hot(11.2)]];
        $strip = static fn(float $most): JobState => Circuits::in()
            ->supply('s1')
            ->run('r1', 1.0, ['mostVolts' => $most], 's1')
            ->state();
        yield 'a strip on mains beyond its highest volts' => [
            'input-volts',
            static fn(): array => [$strip(23.9), $strip(24.0)],
        ];
        // 1.1 times 12 V are 13.2 V: a controller for 12 to 14 V on a bank that is charged at 14.4 V.
        $input = static fn(float $most, float $least = 9.0): JobState => Circuits::in()
            ->bank('s1')
            ->controller('c1', ['inputLeast' => $least, 'inputMost' => $most])
            ->run('r1', 2.0, ['volts' => 12.0], 's1', controller: 'c1')
            ->feed('f1', 'r1', 0)
            ->cable('k1', '2x2.5', 's1', 'c1', fuse: 5.0)
            ->cable('k2', '2x2.5', 'c1', 'f1')
            ->state();
        yield 'a controller on a bank on charge' => ['input-range', static fn(): array => [$input(14.3), $input(14.5)]];
        yield 'a controller on an empty bank' => [
            'input-range',
            static fn(): array => [$input(15.0, 11.1), $input(15.0, 10.9)],
        ];
        $side = static fn(string $switches, string $common): JobState => Circuits::in()
            ->supply('s1')
            ->controller('c1', ['switches' => $switches])
            ->run('r1', 2.0, ['common' => $common], 's1', controller: 'c1')
            ->state();
        yield 'switch-side' => ['switch-side', static fn(): array => [$side('plus', 'plus'), $side('plus', 'minus')]];
        yield from self::flashes();
    }

    /** @return iterable<string, array{string, callable(): array{JobState, JobState}}> */
    private static function boards(): iterable
    {
        $screw = ['inputLeast' => 5.0, 'inputMost' => 24.0, 'outputs' => 1, 'pixelsPerOutput' => 500, 'fused' => true];
        $on = static fn(
            array $board,
            float $metres = 4.0,
            string $cable = '3x2.5',
            array $pixels = [],
            string $from = 's1',
            float $lead = 1.0,
        ): JobState => Circuits::in()
            ->supply('s1', ['volts' => 5.0, 'ratedAmps' => 60.0])
            ->run('r1', $metres, ['kind' => 'pixels'] + $pixels, 's1')
            ->feed('f1', 'r1', 0)
            ->cable('k1', $cable, $from, 'f1', metres: $lead)
            ->cable('k2', '2x2.5', 's1', 'i1', metres: 0.3)
            ->board('i1', $board + $screw, 'r1')
            ->state();
        $bare = Circuits::in()
            ->supply('s1', ['volts' => 5.0])
            ->run('r1', 1.0, ['kind' => 'pixels'], 's1')
            ->state();
        yield 'no-board' => ['no-board', static fn(): array => [$bare, $on([])]];
        // 4 m of 20 pixels a metre: 80.
        yield 'pixels in total' => [
            'pixels-output',
            static fn(): array => [$on(['pixelsPerOutput' => 79]), $on(['pixelsPerOutput' => 80])],
        ];
        yield 'pixels on one output of two' => [
            'pixels-output',
            static fn(): array => [
                $on(['pixelsPerOutput' => 79, 'outputs' => 2]),
                $on(['pixelsPerOutput' => 80, 'outputs' => 2]),
            ],
        ];
        // 24 bits of 1.25 µs: 1,666 pixels in 1/20 s.
        $many = static fn(int $pixels): JobState => $on(
            ['pixelsPerOutput' => 4000],
            1.0,
            pixels: ['pitch' => 1.0 / 60, 'pixelsPerCut' => $pixels],
        );
        yield 'pixel-rate' => ['pixel-rate', static fn(): array => [$many(28), $many(27)]];
        yield 'pixel-cores' => [
            'pixel-cores',
            static fn(): array => [$on([], cable: '2x2.5', from: 'i1'), $on([], cable: '3x2.5', from: 'i1')],
        ];
        yield 'pixel-cores: a cable from the supply takes no data along' => [
            'pixel-cores',
            static fn(): array => [$on([], cable: '2x2.5', from: 'i1'), $on([], cable: '2x2.5')],
        ];
        yield 'pixel-cores with a clock' => [
            'pixel-cores',
            static fn(): array => [
                $on([], cable: '3x2.5', pixels: ['dataWires' => 2], from: 'i1'),
                $on([], cable: '4x2.5', pixels: ['dataWires' => 2], from: 'i1'),
            ],
        ];
        yield 'board-fuse' => ['board-fuse', static fn(): array => [$on(['fused' => false]), $on(['fused' => true])]];
        $none = Circuits::in()
            ->supply('s1', ['volts' => 5.0])
            ->run('r1', 1.0, ['kind' => 'pixels'], 's1')
            ->board('i1', $screw, 'r1')
            ->state();
        yield 'board-supply' => ['board-supply', static fn(): array => [$none, $on([])]];
        // 80 pixels of 3 x 20 mA and 1 mA idle through the board: 4.88 A; fed by the supply none.
        $carries = static fn(float $amps, string $from = 'i1'): JobState => $on(['totalAmps' => $amps], from: $from);
        yield 'board-amps' => ['board-amps', static fn(): array => [$carries(4.83), $carries(4.93)]];
        yield 'board-amps past the board' => ['board-amps', static fn(): array => [$carries(0.1), $carries(0.1, 's1')]];
        $lead = static fn(float $metres, bool $fused = true, string $from = 'i1'): JobState => $on(
            ['totalAmps' => 20.0, 'fused' => $fused],
            from: $from,
            lead: $metres,
        );
        yield 'data-lead' => ['data-lead', static fn(): array => [$lead(5.04), $lead(4.96)]];
        yield 'data-lead without a level shifter' => [
            'data-lead',
            static fn(): array => [$lead(1.01, false), $lead(0.99, false)],
        ];
        yield 'data-lead of a cable from the supply' => [
            'data-lead',
            static fn(): array => [$lead(6.0), $lead(6.0, from: 's1')],
        ];
        yield 'a trial board in the plan' => [
            'trial',
            static fn(): array => [$on(['trial' => true]), $on(['trial' => false])],
        ];
    }

    /** @return iterable<string, array{string, callable(): array{JobState, JobState}}> */
    private static function banks(): iterable
    {
        // 240 W at 12 V are 20 A at full; a fifth of 100 Ah is 20 A. The label counts: 20.2 A or 19.8 A.
        $straight = static fn(float $watts): JobState => Circuits::in()
            ->bank('s1', ['ampHours' => 100.0])
            ->run('r1', 2.0, Circuits::resistor($watts, 2.0, 12.0), 's1')
            ->state();
        yield 'bank-amps' => ['bank-amps', static fn(): array => [$straight(242.4), $straight(237.6)]];
        // Two converters on one bank of 25.2 V (2 x 12.6 at rest) without losses: 2 x 126 W are 10 A, a fifth of 50 Ah.
        $two = static fn(float $ampHours): JobState => Circuits::in()
            ->bank('s1', ['ampHours' => $ampHours, 'sourceOhms' => 0.0001], 2)
            ->converter('s2', ['volts' => 12.0, 'ratedAmps' => 20.0, 'efficiency' => 1.0], 's1')
            ->converter('s3', ['volts' => 12.0, 'ratedAmps' => 20.0, 'efficiency' => 1.0], 's1')
            ->run('r1', 1.0, Circuits::resistor(126.0, 1.0, 12.0), 's2')
            ->run('r2', 1.0, Circuits::resistor(126.0, 1.0, 12.0), 's3')
            ->cable('k1', '2x10', 's1', 's2', metres: 0.01, fuse: 15.0)
            ->cable('k2', '2x10', 's1', 's3', metres: 0.01, fuse: 15.0)
            ->state();
        yield 'bank-amps through converters' => ['bank-amps', static fn(): array => [$two(49.5), $two(50.5)]];
        $cell = ['volts' => 3.7, 'lowestVolts' => 3.0, 'restVolts' => 3.7, 'fullVolts' => 4.2];
        $cells = static fn(bool $protected): JobState => Circuits::in()
            ->bank('s1', ['protected' => $protected] + $cell, 3)
            ->run('r1', 1.0, ['volts' => 12.0], 's1')
            ->state();
        yield 'cells-series' => ['cells-series', static fn(): array => [$cells(false), $cells(true)]];
        // On charge 5 x 14.4 V are 72 V, 4 x 14.4 V are 57.6 V: behind a converter they can be touched too (60 V, IEC 60364-4-41, from memory).
        $behind = static fn(int $blocks): JobState => Circuits::in()
            ->bank('s1', [], $blocks)
            ->converter('s2', ['volts' => 12.0, 'ratedAmps' => 8.0, 'inputMost' => 100.0], 's1')
            ->run('r1', 1.0, ['volts' => 12.0], 's2')
            ->state();
        yield 'touch of a bank behind a converter' => ['touch', static fn(): array => [$behind(5), $behind(4)]];
        $damp = static fn(int $blocks): JobState => Circuits::in('damp')
            ->bank('s1', [], $blocks)
            ->converter('s2', ['volts' => 12.0, 'ratedAmps' => 8.0], 's1')
            ->run('r1', 1.0, ['volts' => 12.0], 's2')
            ->state();
        yield 'touch of such a bank where it is damp' => ['touch', static fn(): array => [$damp(3), $damp(2)]];
        $tiles = static fn(float $volts): JobState => Circuits::in()
            ->supply('s1')
            ->item('i1', 'rearranged', ['volts' => $volts, 'watts' => 2.0], 's1')
            ->state();
        yield 'modules on other volts' => ['supply-volts', static fn(): array => [$tiles(12.0), $tiles(24.0)]];
    }

    /** @return iterable<string, array{string, callable(): array{JobState, JobState}}> */
    private static function places(): iterable
    {
        $two = static fn(float $inrush, string $circuit): JobState => Circuits::in(
            "start\n4 r1\ndry\noutlet P1 at 0.5, circuit C1\noutlet P2 at 3, circuit {$circuit}",
        )
            ->supply('s1', ['inrushAmps' => 40.0])
            ->supply('s2', ['inrushAmps' => $inrush])
            ->run('r1', 2.0, [], 's1')
            ->run('r2', 2.0, [], 's2')
            ->standing('s1', 'P1')
            ->standing('s2', 'P2')
            ->state();
        yield 'inrush' => ['inrush', static fn(): array => [$two(40.5, 'C1'), $two(40.0, 'C1')]];
        // Two supplies of unplaced lamps may be on two circuits.
        $lamps = static fn(string $more): JobState => Circuits::in("start\n4\ndry\noutlet P1 at 0.5, circuit C1{$more}")
            ->supply('s1', ['volts' => 12.0, 'inrushAmps' => 50.0])
            ->supply('s2', ['volts' => 12.0, 'inrushAmps' => 50.0])
            ->fixture('x1', 2)
            ->fixture('x2', 2)
            ->cable('k1', '2x1.5', 's1', 'x1')
            ->cable('k2', '2x1.5', 's2', 'x2')
            ->standing('s1', 'P1')
            ->standing('s2', $more === '' ? 'P1' : 'P2')
            ->state();
        yield 'inrush of lamps' => [
            'inrush',
            static fn(): array => [$lamps(''), $lamps("\noutlet P2 at 2, circuit C2")],
        ];
        yield 'inrush on circuits of their own' => [
            'inrush',
            static fn(): array => [$two(60.0, 'C1'), $two(60.0, 'C2')],
        ];
        $stands = static fn(string $spot, array $entry = []): JobState => Circuits::in(
            "start\n4 r1\ndamp\noutlet P1 at 0.5\nbox B1 at 2, 60x40x20, sealed, hand\nbox B2 at 3, 60x40x20, vented, hand",
        )
            ->supply('s1', $entry)
            ->run('r1', 2.0, [], 's1')
            ->standing('s1', $spot)
            ->state();
        yield 'open-damp' => ['open-damp', static fn(): array => [$stands('P1'), $stands('P1', ['sealed' => true])]];
        yield 'open-damp in a box' => ['open-damp', static fn(): array => [$stands('B2'), $stands('B1')]];
        $outlet = static fn(string $damp): JobState => Circuits::in("start\n4 r1\ndry\noutlet P1 at 0.5{$damp}")
            ->supply('s1')
            ->run('r1', 2.0, [], 's1')
            ->standing('s1', 'P1')
            ->state();
        yield 'open-damp at an outlet' => ['open-damp', static fn(): array => [$outlet(', damp'), $outlet('')]];
        $outdoors = static fn(string $mounting, string $laid = ''): JobState => Circuits::in()
            ->supply('s1')
            ->controller('c1', ['seal' => 'jet'])
            ->run('r1', 2.0, [], 's1', controller: 'c1', mounting: ['profile', $mounting])
            ->feed('f1', 'r1', 0)
            ->cable('k1', '2x2.5', 's1', 'c1', laid: $laid)
            ->cable('k2', '2x2.5', 'c1', 'f1')
            ->state();
        yield 'cable-outdoors' => [
            'cable-outdoors',
            static fn(): array => [$outdoors('outdoors'), $outdoors('removable')],
        ];
        yield 'cable-outdoors in the ground' => [
            'cable-outdoors',
            static fn(): array => [$outdoors('removable', 'ground'), $outdoors('removable', 'conduit')],
        ];
        $leg = static fn(string $to): JobState => Circuits::in(
            "start\n4 r1\ndry\nspur Q1 at 3\nleg A B1 to {$to} 2x1.5 3.0, traced",
        )
            ->supply('s1')
            ->controller('c1')
            ->run('r1', 2.0, [], 's1', controller: 'c1')
            ->feed('f1', 'r1', 0)
            ->cable('k1', '2x2.5', 's1', 'c1')
            ->cable('k2', '2x1.5r', 'c1', 'f1', existing: true, leg: 'A')
            ->state();
        yield 'leg-mains' => ['leg-mains', static fn(): array => [$leg('Q1'), $leg('B2')]];
        $moving = static fn(string $size): JobState => Circuits::in()
            ->supply('s1')
            ->controller('c1')
            ->run('r1', 2.0, [], 's1', controller: 'c1', mounting: ['profile', 'moving'])
            ->feed('f1', 'r1', 0)
            ->cable('k1', '2x2.5', 's1', 'c1')
            ->cable('k2', $size, 'c1', 'f1')
            ->state();
        yield 'cable-moving' => ['cable-moving', static fn(): array => [$moving('2x2.5r'), $moving('2x2.5')]];
    }

    /** @return iterable<string, array{string, callable(): array{JobState, JobState}}> */
    private static function plugs(): iterable
    {
        $half = static fn(string $gender, string $note): array => [
            'pins' => 2,
            'amps' => 10.0,
            'seal' => 'none',
            'gender' => $gender,
            'note' => $note,
        ];
        $plugs = static fn(string $one, string $other): JobState => Circuits::simple()
            ->item('i1', 'plug', $half($one, 'a'), 'k2')
            ->item('i2', 'plug', $half($other, 'b'), 'k2')
            ->state();
        yield 'plug-gender' => [
            'plug-gender',
            static fn(): array => [$plugs('male', 'male'), $plugs('male', 'female')],
        ];
        $fork = static fn(int $ways): JobState => Circuits::in()
            ->supply('s1')
            ->controller('c1')
            ->run('r1', 2.0, [], 's1', controller: 'c1')
            ->feed('f1', 'r1', 0)
            ->feed('f2', 'r1', 20)
            ->feed('f3', 'r1', 40)
            ->put('splices', 'j1', new Splice('j1', 'a fork'))
            ->cable('k1', '2x2.5', 's1', 'c1')
            ->cable('k2', '2x2.5', 'c1', 'j1')
            ->cable('k3', '2x2.5', 'j1', 'f1')
            ->cable('k4', '2x2.5', 'j1', 'f2')
            ->cable('k5', '2x2.5', 'j1', 'f3')
            ->item('i1', 'fork', ['ways' => $ways] + $half('both', ''), 'k2')
            ->state();
        yield 'fork-ways' => ['fork-ways', static fn(): array => [$fork(2), $fork(3)]];
    }

    /** @return iterable<string, array{string, callable(): array{JobState, JobState}}> */
    private static function modules(): iterable
    {
        $phase = ['kind' => 'phasecut', 'mostWatts' => 200.0, 'leastWatts' => 5.0];
        $dims = static fn(array $module, string $dim): JobState => Circuits::in()
            ->module('d1', $module)
            ->fixture('x1', 4, ['watts' => 10.0, 'dim' => $dim, 'volts' => 230.0], 'd1')
            ->state();
        yield 'a 0-10 V fixture on phase-cut' => [
            'module-kind',
            static fn(): array => [$dims($phase, '0-10 V'), $dims($phase, 'phase-cut')],
        ];
        yield 'a phase-cut lamp on DALI' => [
            'module-kind',
            static fn(): array => [
                $dims(['kind' => 'dali', 'milliamps' => 200, 'addresses' => 64], 'phase-cut'),
                $dims(['kind' => 'dali', 'milliamps' => 200, 'addresses' => 64], 'dali'),
            ],
        ];
        $sinks = static fn(bool $sinks): JobState => $dims(
            ['kind' => 'analog', 'milliamps' => 20, 'outputs' => 1, 'relayAmps' => 5.0, 'sinks' => $sinks],
            '0-10 V',
        );
        yield 'analog-sinks' => ['analog-sinks', static fn(): array => [$sinks(false), $sinks(true)]];
    }

    /**
     * Colours that change without a change of brightness (WCAG 2.2, 2.3.1): eight changes a second are four flashes.
     *
     * @return iterable<string, array{string, callable(): array{JobState, JobState}}>
     */
    private static function flashes(): iterable
    {
        $shows = self::colours(...);
        // Red to blue: luminance 0.21 to 0.07, and saturated red takes part. Blue to a blue that is a little weaker is none.
        yield 'red to blue' => [
            'show-flash',
            static fn(): array => [$shows([1, 0, 0], [0, 0, 1]), $shows([0, 0, 1], [0, 0, 0.93])],
        ];
        // Red to a purple of nearly the same luminance: (0.21 against 0.23) only the red counts.
        yield 'saturated red to purple' => [
            'show-flash',
            static fn(): array => [$shows([1, 0, 0], [1, 0, 0.3]), $shows([1, 0, 0.3], [1, 0, 0.5])],
        ];
        yield 'red to blue, slowly' => [
            'show-flash',
            static fn(): array => [$shows([1, 0, 0], [0, 0, 1]), $shows([1, 0, 0], [0, 0, 1], 0.17)],
        ];
    }

    /**
     * A show that changes between two colours of one RGB light.
     *
     * @param  list<float>  $one  duties of red, green and blue
     * @param  list<float>  $other
     * @param  float  $hold  seconds of each
     */
    private static function colours(array $one, array $other, float $hold = 0.125): JobState
    {
        $channels = array_map(
            static fn(string $colour): array => ['name' => $colour, 'wattsPerMetre' => 3.0, 'colour' => $colour],
            ['#ff0000', '#00ff00', '#0000ff'],
        );
        $plan = Circuits::in()
            ->supply('s1')
            ->controller('c1', ['channels' => 3])
            ->run('r1', 2.0, ['channels' => $channels], 's1', controller: 'c1')
            ->scene('one', ['c1' => $one])
            ->scene('other', ['c1' => $other])
            ->plan();

        return new JobState(self::show($plan, $hold), [], \EmberDusk\Tests\Demo::shelf());
    }

    private static function show(Plan $plan, float $hold): Plan
    {
        return $plan->with(
            shows: [
                'w1' => new Show(
                    'w1',
                    'Evening',
                    Show::LIST,
                    [new ShowStep('one', $hold), new ShowStep('other', $hold)],
                    rounds: 3,
                ),
            ],
        );
    }
}
