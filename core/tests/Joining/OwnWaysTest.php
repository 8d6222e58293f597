<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Joining;

use EmberDusk\Joining\Observation;
use EmberDusk\Joining\Unit;
use PHPUnit\Framework\TestCase;

/** Timed traces of the families that have a way of their own, by hand as TracesTest. All behaviours: common practice, no source. */
final class OwnWaysTest extends TestCase
{
    private static function receiver(float $x = 0.0): Unit
    {
        return new Unit(
            id: 'c1',
            name: 'Run',
            role: Unit::LIGHT,
            family: 'receiver',
            way: 'rf',
            leaflet: Bench::leaflet(
                ['reset' => 'press KEY 6 in 4', 'join' => 'press KEY'],
                ['listens' => 10, 'soon' => 4],
            ),
            place: 'table',
            at: [$x, 0.0],
            kind: 'tunable',
        );
    }

    public function test_a_receiver_obeys_the_phone_that_bound_it_alone(): void
    {
        $hub = static fn(): Unit => new Unit(
            'h2',
            'Hub',
            Unit::HUB,
            'receiver',
            'rf',
            Bench::leaflet([], ['range' => 30.0]),
            'table',
            [0.0, 0.0],
        );
        $hands = static fn(float $swipe, bool $enters = true): array => [
            [0.0, 'power-on', 'c1'],
            ...$enters ? [[1.0, 'tap', 'h2', 'enter']] : [],
            [2.0, 'tap', 'h2', 'kind c1'],
            [10.0, 'press', 'c1', 'KEY'],
            [$swipe, 'tap', 'h2', 'swipe c1'],
        ];
        $roster = Bench::roster([self::receiver(), $hub()], [['h2', 'c1']]);
        self::assertSame(Observation::Expected, Bench::works(Bench::after($roster, $hands(15.0))));
        self::assertSame(
            Observation::Nothing,
            Bench::works(Bench::after($roster, $hands(10.8 + 10 + 1))),
            'a second late',
        );
        self::assertSame(
            Observation::Nothing,
            Bench::works(Bench::after($roster, $hands(15.0, false))),
            'not on the unit’s network',
        );
        self::assertSame(
            Observation::Nothing,
            Bench::works(Bench::after($roster, $hands(15.0), ['phone-leaves@phone'])),
            'another phone stays',
        );
        self::assertSame(
            Observation::Nothing,
            Bench::works(Bench::after($roster, $hands(15.0), ['wrong-style@c1'])),
            'wrong kind in the app',
        );
        $far = Bench::roster([self::receiver(31.0), $hub()], [['h2', 'c1']]);
        self::assertSame(Observation::Nothing, Bench::works(Bench::after($far, $hands(15.0))), '31 m');
    }

    public function test_a_zone_accepts_a_receiver_that_was_just_powered(): void
    {
        $bridge = new Unit(
            id: 'g1',
            name: 'Bridge',
            role: Unit::BRIDGE,
            family: 'bridge',
            way: 'rf',
            leaflet: Bench::leaflet(['reset' => 'hold PIN 5', 'join' => 'press PIN'], ['countdown' => 60]),
            place: 'table',
            zones: 8,
        );
        $hands = static fn(float $hold, float $connect, float $link, float $style = 90.0): array => [
            [6.0, 'hold', 'g1', "PIN {$hold}"],
            [10.0, 'press', 'g1', 'PIN'],
            [$connect, 'tap', 'g1', 'connect'],
            ...$style < 100.0 ? [[$style, 'tap', 'g1', 'style c1']] : [],
            [100.0, 'power-on', 'c1'],
            [$link, 'tap', 'g1', 'zone c1 1'],
            ...$style > 100.0 ? [[$style, 'tap', 'g1', 'style c1']] : [],
        ];
        $roster = Bench::roster([self::receiver(), $bridge], [['g1', 'c1', 1]]);
        self::assertSame(Observation::Expected, Bench::works(Bench::after($roster, $hands(5.0, 60.0, 103.0))));
        self::assertSame(
            Observation::Nothing,
            Bench::works(Bench::after($roster, $hands(5.0, 60.0, 105.0))),
            'five seconds after power-on',
        );
        self::assertSame(
            Observation::Nothing,
            Bench::works(Bench::after($roster, $hands(5.0, 71.0, 103.0))),
            'the countdown is over',
        );
        self::assertSame(
            Observation::Nothing,
            Bench::works(Bench::after($roster, $hands(5.0, 60.0, 103.0, 110.0))),
            'the kind is chosen after the link',
        );
        self::assertSame(
            Observation::Nothing,
            Bench::works(Bench::after($roster, $hands(5.0, 60.0, 103.0), ['wrong-app@g1'])),
            'an app of another generation',
        );
        self::assertNotContains(
            'resetDone',
            Bench::after($roster, $hands(4.0, 60.0, 103.0))->device('g1')->shown(0, 9),
            'a pin for 4 s',
        );
        self::assertSame(
            Observation::Nothing,
            Bench::works(Bench::after($roster, $hands(5.0, 60.0, 103.0), ['other-network@phone'])),
        );
        $two = new Unit(
            'r2',
            'Remote',
            Unit::REMOTE,
            'bridge',
            'rf',
            Bench::leaflet(['link' => 'press zone 3']),
            'table',
            zones: 4,
        );
        $byHand = Bench::roster([self::receiver(), $two], [['r2', 'c1', 1]]);
        $keys = static fn(float $at): array => [[100.0, 'power-on', 'c1'], ...Bench::presses('r2', 'zone', 3, $at)];
        self::assertSame(Observation::Expected, Bench::works(Bench::after($byHand, $keys(102.0))));
        self::assertSame(
            Observation::Nothing,
            Bench::works(Bench::after($byHand, $keys(104.0))),
            'the last press comes too late',
        );
    }

    public function test_bluetooth_is_one_phones_at_a_time(): void
    {
        $light = new Unit('c1', 'Run', Unit::LIGHT, 'bluetooth', 'bluetooth', Bench::leaflet(), 'table', kind: 'rgbw');
        $roster = Bench::roster([$light], [['phone', 'c1']]);
        $hands = [[0.0, 'power-on', 'c1'], [2.0, 'tap', 'c1', 'connect'], [3.0, 'tap', 'c1', 'type']];
        self::assertSame(Observation::Expected, Bench::works(Bench::after($roster, $hands)));
        self::assertSame(['waits', 'joined'], Bench::after($roster, $hands)->device('c1')->shown(0, 10));
        self::assertSame(
            Observation::Nothing,
            Bench::works(Bench::after($roster, array_slice($hands, 0, 2))),
            'no kind chosen',
        );
        $taken = Bench::after($roster, $hands, ['second-phone@c1']);
        self::assertSame([['held'], Observation::Nothing], [$taken->device('c1')->shown(0, 10), Bench::works($taken)]);
        self::assertSame(Observation::Wrong, Bench::works(Bench::after($roster, $hands, ['wrong-style@c1'])));
    }

    private static function node(string $id, float $x): Unit
    {
        return new Unit(
            id: $id,
            name: "Run {$id}",
            role: Unit::LIGHT,
            family: 'mesh',
            way: 'mesh',
            leaflet: Bench::leaflet(
                ['reset' => 'press NODE 6', 'join' => 'press NODE 2 in 2'],
                ['range' => 25.0, 'linkListens' => 10],
            ),
            place: 'table',
            at: [$x, 0.0],
            kind: 'rgbw',
        );
    }

    public function test_each_node_of_a_mesh_repeats_for_the_next(): void
    {
        $join = static fn(string $id, float $at): array => [
            [$at, 'power-on', $id],
            ...Bench::presses($id, 'NODE', 2, $at + 1),
        ];
        $hands = [[0.0, 'tap', 'phone', 'search mesh 60'], ...$join('c1', 5), ...$join('c2', 15), ...$join('c3', 25)];
        $wants = [['phone', 'c1'], ['phone', 'c2'], ['phone', 'c3']];
        $near = Bench::after(
            Bench::roster([self::node('c1', 0), self::node('c2', 24), self::node('c3', 48)], $wants),
            $hands,
        );
        self::assertSame(
            [Observation::Expected, Observation::Expected, Observation::Expected],
            [Bench::works($near), Bench::works($near, 1), Bench::works($near, 2)],
        );
        $gap = Bench::after(
            Bench::roster([self::node('c1', 0), self::node('c2', 26), self::node('c3', 48)], $wants),
            $hands,
        );
        self::assertSame(
            [Observation::Expected, Observation::Nothing],
            [Bench::works($gap), Bench::works($gap, 1)],
            '26 m',
        );
        $slow = [
            [0.0, 'tap', 'phone', 'search mesh 60'],
            [5.0, 'power-on', 'c1'],
            ...Bench::presses('c1', 'NODE', 2, 6, 2.2),
        ];
        self::assertSame(
            Observation::Nothing,
            Bench::works(Bench::after(Bench::roster([self::node('c1', 0)], [$wants[0]]), $slow)),
        );
    }

    public function test_the_same_presses_answer_a_search_or_open_a_link_never_both(): void
    {
        $remote = new Unit(
            'r1',
            'Remote',
            Unit::REMOTE,
            'meshremote',
            'mesh',
            Bench::leaflet(['link' => 'press zone']),
            'table',
            zones: 4,
        );
        $roster = Bench::roster([self::node('c1', 0), $remote], [['r1', 'c1', 1]]);
        $link = static fn(float $zone): array => [
            [1.0, 'power-on', 'c1'],
            ...Bench::presses('c1', 'NODE', 2, 5),
            [$zone, 'press', 'r1', 'zone'],
        ];
        self::assertSame(Observation::Expected, Bench::works(Bench::after($roster, $link(8.0))));
        self::assertSame(Observation::Nothing, Bench::works(Bench::after($roster, $link(5.4 + 11))), 'eleven seconds');
        $searching = [[0.0, 'tap', 'phone', 'search mesh 60'], ...$link(8.0)];
        self::assertSame(
            Observation::Nothing,
            Bench::works(Bench::after($roster, $searching)),
            'the search took the presses',
        );
        $ended = [[0.0, 'tap', 'phone', 'search mesh 60'], [0.5, 'tap', 'phone', 'end mesh'], ...$link(8.0)];
        self::assertSame(Observation::Expected, Bench::works(Bench::after($roster, $ended)));
    }

    public function test_a_board_is_given_its_network_over_a_data_lead_and_starts_on_it(): void
    {
        $board = new Unit('b1', 'Band', Unit::BOARD, 'board', 'wifi', Bench::leaflet(), 'table', kind: 'rgb');
        $roster = Bench::roster([$board], [['phone', 'b1']]);
        $hands = [
            [0.0, 'power-on', 'b1'],
            [5.0, 'tap', 'b1', 'give'],
            [10.0, 'power-off', 'b1'],
            [11.0, 'power-on', 'b1'],
            [20.0, 'tap', 'b1', 'set'],
        ];
        self::assertSame(Observation::Expected, Bench::works(Bench::after($roster, $hands)));
        self::assertSame(['alone', 'held'], Bench::after($roster, $hands)->device('b1')->shown(0, 30));
        unset($hands[2], $hands[3]);
        self::assertSame(Observation::Nothing, Bench::works(Bench::after($roster, array_values($hands))), 'no reboot');
        $hands = [
            [0.0, 'power-on', 'b1'],
            [5.0, 'tap', 'b1', 'give'],
            [10.0, 'power-off', 'b1'],
            [11.0, 'power-on', 'b1'],
            [20.0, 'tap', 'b1', 'set'],
        ];
        foreach (
            [
                'charge-lead@b1' => Observation::Nothing,
                'new-address@b1' => Observation::Nothing,
                'wrong-order@b1' => Observation::Wrong,
                'wrong-count@b1' => Observation::Part,
            ]
            as $flaw => $seen
        ) {
            self::assertSame($seen, Bench::works(Bench::after($roster, $hands, [$flaw])), $flaw);
        }
    }

    public function test_a_cloud_controller_answers_nothing_without_the_internet(): void
    {
        $light = new Unit(
            'c1',
            'Run',
            Unit::LIGHT,
            'cloud',
            'wifi',
            Bench::leaflet(['reset' => 'press NET 4 in 3']),
            'table',
            kind: 'rgbw',
        );
        $roster = Bench::roster([$light], [['phone', 'c1']]);
        $hands = [[0.0, 'power-on', 'c1'], ...Bench::presses('c1', 'NET', 4, 2), [10.0, 'tap', 'c1', 'give']];
        self::assertSame(Observation::Expected, Bench::works(Bench::after($roster, $hands)));
        unset($hands[4]);
        self::assertSame(
            Observation::Nothing,
            Bench::works(Bench::after($roster, array_values($hands))),
            'three presses',
        );
        $hands = [[0.0, 'power-on', 'c1'], ...Bench::presses('c1', 'NET', 4, 2), [10.0, 'tap', 'c1', 'give']];
        foreach (['offline@c1', 'no-account@c1', 'other-network@phone'] as $flaw) {
            self::assertSame(Observation::Nothing, Bench::works(Bench::after($roster, $hands, [$flaw])), $flaw);
        }
    }

    /** The wiring shows the same in every family. */
    public function test_loose_and_exchanged_leads_and_weak_supplies_show_on_the_load(): void
    {
        $roster = Bench::roster([Bench::zigbee(), Bench::hub()], [['h1', 'c1']]);
        $hands = [[0.0, 'power-on', 'c1'], [1.0, 'tap', 'h1', 'search']];
        foreach (
            [
                'lead-loose@c1' => Observation::Part,
                'leads-swapped@c1' => Observation::Wrong,
                'wrong-setting@c1' => Observation::Wrong,
                'supply-low@c1' => Observation::Dim,
                'brown-out@c1' => Observation::Nothing,
                'dead@c1' => Observation::Nothing,
            ]
            as $flaw => $seen
        ) {
            self::assertSame($seen, Bench::works(Bench::after($roster, $hands, [$flaw])), $flaw);
        }
    }
}
