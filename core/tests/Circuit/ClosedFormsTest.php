<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Circuit;

use EmberDusk\Circuit\FixtureGroup;
use EmberDusk\Circuit\Loads\ConstantCurrent;
use EmberDusk\Circuit\Loads\ConstantPower;
use EmberDusk\Circuit\Network;
use EmberDusk\Circuit\Solution;
use EmberDusk\Circuit\Solver\Newton;
use EmberDusk\Circuit\SourceCurrent;
use EmberDusk\Circuit\Stretch;
use PHPUnit\Framework\TestCase;

/** Circuits whose volts a formula gives. */
final class ClosedFormsTest extends TestCase
{
    /** The ladder of the closed form: metres, ohm per metre, amps of a group. */
    private const PITCH = 0.05;

    private const RAIL = 0.08;

    private const AMPS = 0.01;

    /** A converter of P watts behind R ohm: u = (E + sqrt(E² - 4 R P)) / 2, and no answer beyond P = E² / 4R (maximum power transfer). */
    public function test_constant_power_behind_a_resistance_and_where_it_folds(): void
    {
        foreach ([0.1, 0.5, 0.9, 0.999] as $share) {
            $watts = ($share * 24.0 ** 2) / (4 * 1.0);
            self::assertEqualsWithDelta(
                (24 + sqrt(24 ** 2 - 4 * $watts)) / 2,
                self::lamp($watts, 1.0)->nodes()['lamp_p'],
                1e-6,
                "{$share} of the most",
            );
        }
        $this->expectExceptionMessageMatches('/^Voltage collapse at LAMP: at 99 %/');
        self::lamp((1.004 * 24.0 ** 2) / 4, 1.0);
    }

    private static function lamp(float $watts, float $ohms): Solution
    {
        $net = new Network();
        $plus = $net->node('s_p', 24.0);
        $net->sources[] = new SourceCurrent(name: 's', plus: $plus, emf: 24.0, ohms: 1e-3, limit: 1e6);
        $lamp = $net->node('lamp_p', 24.0);
        $net->resistor(name: 'k', part: 'k', from: $plus, to: $lamp, ohms: $ohms - 1e-3);
        $net->points[] = new FixtureGroup(
            part: 'lamp',
            name: 'lamp',
            plus: $lamp,
            minus: 0,
            load: new ConstantPower($watts, 4.0),
        );

        return Newton::solve($net);
    }

    /**
     * N groups of a constant current I on two rails of r ohm a pitch each, fed at one end: the last group is
     * 2 r I (N/2 + (N - 1) N / 2) below the feed, half a pitch to the first group included (sum of an arithmetic series).
     */
    public function test_a_constant_current_ladder_fed_at_one_end_both_and_the_middle(): void
    {
        $groups = 40;
        $step = 2 * self::RAIL * self::PITCH * self::AMPS;
        $far = static fn(int $n): float => $step * ($n / 2 + (($n - 1) * $n) / 2);
        // The feed's own leads are a microohm: 0.4 A in them are below the tolerance.
        [$feed, $volts] = self::fed([0], [$groups]);
        self::assertEqualsWithDelta($far($groups), $feed - min($volts), 1e-6);
        self::assertSame($groups - 1, array_search(min($volts), $volts, true));
        [$feed, $volts] = self::fed([0, 1], [$groups]);
        self::assertEqualsWithDelta(
            $far(intdiv($groups, 2)),
            $feed - min($volts),
            1e-6,
            'fed at both ends: each carries half',
        );
        [$feed, $volts] = self::fed([1], [intdiv($groups, 2), intdiv($groups, 2)]);
        self::assertEqualsWithDelta(
            $far(intdiv($groups, 2)),
            $feed - min($volts),
            1e-6,
            'fed in the middle: two halves',
        );
        self::assertEqualsWithDelta($volts[0], $volts[$groups - 1], 1e-9);
    }

    /**
     * @param  non-empty-list<int>  $fed  pads
     * @param  list<int>  $lengths  groups of each piece
     * @return array{float, non-empty-list<float>} volts at the first fed pad, and across each group
     */
    private static function fed(array $fed, array $lengths): array
    {
        $net = new Network();
        $plus = $net->node('s_p', 12.0);
        $net->sources[] = new SourceCurrent(name: 's', plus: $plus, emf: 12.0, ohms: 1e-3, limit: 1e6);
        $load = new ConstantCurrent(self::AMPS, 1.0, 2.0);
        $pads = array_map(
            static fn(int $n): array => [$net->node("a{$n}_p", 12.0), $net->node("a{$n}_1", 0.0)],
            range(0, count($lengths)),
        );
        foreach ($fed as $n) {
            $net->resistor(name: "p{$n}", part: 'k', from: $plus, to: $pads[$n][0], ohms: 1e-6);
            $net->resistor(name: "m{$n}", part: 'k', from: $pads[$n][1], to: 0, ohms: 1e-6);
        }
        foreach ($lengths as $n => $length) {
            $net->stretches[] = new Stretch(
                run: 'r',
                prefix: 'r',
                first: array_sum(array_slice($lengths, 0, $n)),
                groups: $length,
                pitch: self::PITCH,
                plusRail: self::RAIL,
                returnRail: self::RAIL,
                loads: [$load],
                start: $pads[$n],
                end: $pads[$n + 1],
            );
        }
        $solution = Newton::solve($net);
        $volts = array_merge(
            ...array_map(static fn(int $n): array => $solution->groupVolts($n)[0], array_keys($lengths)),
        );

        return [
            $solution->volt($pads[$fed[0]][0]) - $solution->volt($pads[$fed[0]][1]),
            $volts === [] ? [0.0] : $volts,
        ];
    }
}
