<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Joining;

use EmberDusk\Joining\Seen;
use EmberDusk\Joining\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Timed traces of each family's stand-in, written by hand from the joining notes, with near misses beside them: what works is pressed and
 * read at the end. All behaviours: common practice, no source.
 */
final class TracesTest extends TestCase
{
    /** @return iterable<string, array{list<array{float, string, string, 3?: string}>, bool}> */
    public static function zigbee(): iterable
    {
        $on = [0.0, 'power-on', 'c1'];
        $search = static fn(float $at): array => [$at, 'tap', 'h1', 'search'];
        $reset = static fn(float $at): array => Bench::presses('c1', 'PROG', 5, $at);
        yield 'search, then reset' => [[$on, $search(20), ...$reset(25)], true];
        yield 'reset, then search inside the window' => [[$on, ...$reset(20), $search(25)], true];
        yield 'unjoined, a power-cycle lets it listen again' => [
            [$on, $search(20), [25, 'power-off', 'c1'], [26, 'power-on', 'c1']],
            true,
        ];
        yield 'search one second after the window' => [[$on, ...$reset(20), $search(21.6 + 15 + 1)], false];
        yield 'one press fewer' => [[$on, $search(20), ...Bench::presses('c1', 'PROG', 4, 25)], false];
        yield 'five presses in 3.2 s' => [[$on, $search(20), ...Bench::presses('c1', 'PROG', 5, 25, 0.8)], false];
        yield 'no power' => [[$search(0), ...$reset(2)], false];
    }

    /** @param  list<array{float, string, string, 3?: string}>  $hands */
    #[DataProvider('zigbee')]
    public function test_zigbee_controller_and_hub(array $hands, bool $works): void
    {
        $roster = Bench::roster([Bench::zigbee(), Bench::hub()], [['h1', 'c1']]);
        foreach (range(1, 20) as $seed) {
            $site = Bench::after($roster, $hands, seed: $seed);
            self::assertSame($works ? Seen::YES : Seen::NOTHING, Bench::works($site), "seed {$seed}");
        }
    }

    public function test_an_old_network_is_left_by_a_reset_and_by_nothing_else(): void
    {
        $roster = Bench::roster([Bench::zigbee()->used(), Bench::hub()], [['h1', 'c1']]);
        $cycle = [
            [0.0, 'power-on', 'c1'],
            [5.0, 'tap', 'h1', 'search'],
            [6.0, 'power-off', 'c1'],
            [7.0, 'power-on', 'c1'],
        ];
        self::assertSame(Seen::NOTHING, Bench::works(Bench::after($roster, $cycle)), 'a power-cycle erases nothing');
        $reset = [[0.0, 'power-on', 'c1'], [5.0, 'tap', 'h1', 'search'], ...Bench::presses('c1', 'PROG', 5, 8)];
        self::assertSame(Seen::YES, Bench::works(Bench::after($roster, $reset)));
    }

    public function test_a_hub_holds_so_many_lights_and_no_more(): void
    {
        $units = [Bench::hub()];
        $hands = [[0.0, 'tap', 'h1', 'search']];
        foreach ([1, 2, 3] as $n) {
            $units[] = Bench::zigbee("c{$n}", 5.0 * $n);
            $hands = [...$hands, [$n * 10.0, 'power-on', "c{$n}"]];
        }
        $site = Bench::after(Bench::roster($units, [['h1', 'c1'], ['h1', 'c2'], ['h1', 'c3']]), $hands);
        self::assertSame(
            [Seen::YES, Seen::YES, Seen::NOTHING],
            [Bench::works($site), Bench::works($site, 1), Bench::works($site, 2)],
        );
        self::assertSame([['Light 1'], ['Light 2']], array_values($site->device('h1')->list()));
    }

    /** Hub, remote and one controller on the table: the light is in the hub's network, the remote joins it, then links. */
    private const JOINED = [
        [0.0, 'power-on', 'c1'],
        [1.0, 'tap', 'h1', 'search'],
        [30.0, 'tap', 'h1', 'search'],
        [33.0, 'hold', 'r1', 'ON 3'],
        [33.5, 'press', 'r1', 'MEET'],
    ];

    /** @return list<array{float, string, string, string}> */
    private static function link(float $at, float $metres = 0.05, string $to = 'c1'): array
    {
        return [
            ...Bench::presses($to, 'PROG', 4, $at),
            [$at + 4, 'near', 'r1', sprintf('%s %.2F', $to, $metres)],
            [$at + 5, 'set', 'r1', 'zone 1'],
            [$at + 8, 'hold', 'r1', 'zone 2'],
            [$at + 9, 'press', 'r1', 'MEET'],
        ];
    }

    /** @return iterable<string, array{list<array{float, string, string, 3?: string}>, string, string}> hands, by remote, by hub */
    public static function links(): iterable
    {
        yield 'hub first, then the link' => [[...self::JOINED, ...self::link(60)], Seen::YES, Seen::YES];
        yield 'opened by itself, 20 s after power-up' => [
            [...self::JOINED, [50, 'power-off', 'c1'], [51, 'power-on', 'c1'], ...array_slice(self::link(67), 4)],
            Seen::YES,
            Seen::YES,
        ];
        yield 'link first: the remote forms a network of its own, and the hub loses the light' => [
            [...array_slice(self::JOINED, 0, 2), ...self::link(20), ...array_slice(self::JOINED, 2)],
            Seen::YES,
            Seen::NOTHING,
        ];
        yield '0.11 m away' => [[...self::JOINED, ...self::link(60, 0.11)], Seen::NOTHING, Seen::YES];
        yield 'three presses do not open it' => [
            [...self::JOINED, [50, 'power-off', 'c1'], [51, 'power-on', 'c1'], ...array_slice(self::link(53), 1)],
            Seen::NOTHING,
            Seen::YES,
        ];
        yield 'a second after the link window' => [
            [
                ...self::JOINED,
                ...Bench::presses('c1', 'PROG', 4, 180),
                ...array_slice(self::link(181.2 + 0.8 + 169 + 1 - 9), 4),
            ],
            Seen::NOTHING,
            Seen::YES,
        ];
    }

    /** @param  list<array{float, string, string, 3?: string}>  $hands */
    #[DataProvider('links')]
    public function test_remote_and_touch_link(array $hands, string $byRemote, string $byHub): void
    {
        $roster = Bench::roster([Bench::zigbee(), Bench::hub(), Bench::remote()], [['r1', 'c1', 1], ['h1', 'c1']]);
        $site = Bench::after($roster, $hands, until: 500);
        self::assertSame([$byRemote, $byHub], [Bench::works($site), Bench::works($site, 1)]);
    }

    public function test_a_second_controller_with_power_near_by_takes_the_link(): void
    {
        foreach ([[1.9, Seen::ELSEWHERE], [2.1, Seen::YES]] as [$away, $seen]) {
            $roster = Bench::roster(
                [Bench::zigbee(), Bench::zigbee('c2', $away - 0.05), Bench::hub(), Bench::remote()],
                [['r1', 'c1', 1], ['h1', 'c1']],
            );
            $site = Bench::after($roster, [[0.0, 'power-on', 'c2'], ...self::JOINED, ...self::link(60)], until: 500);
            self::assertSame($seen, Bench::works($site), "{$away} m");
        }
    }

    public function test_a_remote_without_its_blinks_is_not_joined(): void
    {
        $roster = Bench::roster([Bench::zigbee(), Bench::hub(), Bench::remote()], [['r1', 'c1', 1], ['h1', 'c1']]);
        self::assertContains('joined', Bench::after($roster, self::JOINED)->device('r1')->shown(0, 100));
        foreach (['not-joined@r1', 'flat@r1'] as $flaw) {
            self::assertNotContains(
                'joined',
                Bench::after($roster, self::JOINED, [$flaw])
                    ->device('r1')
                    ->shown(0, 100),
                $flaw,
            );
        }
        $late = [...array_slice(self::JOINED, 0, 2), [92.0, 'hold', 'r1', 'ON 3'], [92.5, 'press', 'r1', 'MEET']];
        self::assertNotContains(
            'joined',
            Bench::after($roster, $late)->device('r1')->shown(0, 200),
            'the search is over',
        );
    }

    public function test_an_assistant_knows_the_names_of_the_moment_at_which_it_searched(): void
    {
        $assistant = new Unit(
            'a1',
            'Assistant',
            Unit::ASSISTANT,
            'assistant',
            'wifi',
            Bench::leaflet([], ['search' => 20]),
            'table',
        );
        $roster = Bench::roster([Bench::zigbee(), Bench::hub(), $assistant], [['a1', 'c1']]);
        $joined = [[0.0, 'power-on', 'c1'], [1.0, 'tap', 'h1', 'search']];
        $named = [40.0, 'tap', 'h1', 'name Light 1=Cove'];
        $read = static fn(float $at): array => [[$at, 'tap', 'a1', 'link h1'], [$at + 1, 'tap', 'a1', 'search']];
        self::assertSame(Seen::YES, Bench::works(Bench::after($roster, [...$joined, $named, ...$read(50)])));
        self::assertSame(
            Seen::NOTHING,
            Bench::works(Bench::after($roster, [...$joined, ...$read(15), $named])),
            'named afterwards',
        );
        self::assertSame(
            Seen::NOTHING,
            Bench::works(Bench::after($roster, [...$joined, $named, [51.0, 'tap', 'a1', 'search']])),
            'no account',
        );
        self::assertSame(
            Seen::NOTHING,
            Bench::works(Bench::after($roster, [...$joined, $named, ...$read(50)], until: 70.9)),
            'not done yet',
        );
    }

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
        self::assertSame(Seen::YES, Bench::works(Bench::after($roster, $hands(15.0))));
        self::assertSame(Seen::NOTHING, Bench::works(Bench::after($roster, $hands(10.8 + 10 + 1))), 'a second late');
        self::assertSame(
            Seen::NOTHING,
            Bench::works(Bench::after($roster, $hands(15.0, false))),
            'not on the unit’s network',
        );
        self::assertSame(
            Seen::NOTHING,
            Bench::works(Bench::after($roster, $hands(15.0), ['phone-leaves@phone'])),
            'another phone stays',
        );
        self::assertSame(
            Seen::NOTHING,
            Bench::works(Bench::after($roster, $hands(15.0), ['wrong-style@c1'])),
            'wrong kind in the app',
        );
        $far = Bench::roster([self::receiver(31.0), $hub()], [['h2', 'c1']]);
        self::assertSame(Seen::NOTHING, Bench::works(Bench::after($far, $hands(15.0))), '31 m');
    }

    public function test_a_zone_takes_what_has_just_had_its_power(): void
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
        $hands = static fn(float $hold, float $connect, float $link): array => [
            [6.0, 'hold', 'g1', "PIN {$hold}"],
            [10.0, 'press', 'g1', 'PIN'],
            [$connect, 'tap', 'g1', 'connect'],
            [100.0, 'power-on', 'c1'],
            [$link, 'tap', 'g1', 'zone c1 1'],
        ];
        $roster = Bench::roster([self::receiver(), $bridge], [['g1', 'c1', 1]]);
        self::assertSame(Seen::YES, Bench::works(Bench::after($roster, $hands(5.0, 60.0, 103.0))));
        self::assertSame(
            Seen::NOTHING,
            Bench::works(Bench::after($roster, $hands(5.0, 60.0, 105.0))),
            'five seconds after power-on',
        );
        self::assertSame(
            Seen::NOTHING,
            Bench::works(Bench::after($roster, $hands(5.0, 71.0, 103.0))),
            'the countdown is over',
        );
        self::assertNotContains(
            'resetDone',
            Bench::after($roster, $hands(4.0, 60.0, 103.0))->device('g1')->shown(0, 9),
            'a pin for 4 s',
        );
        self::assertSame(
            Seen::NOTHING,
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
        self::assertSame(Seen::YES, Bench::works(Bench::after($byHand, $keys(102.0))));
        self::assertSame(
            Seen::NOTHING,
            Bench::works(Bench::after($byHand, $keys(104.0))),
            'the last press comes too late',
        );
    }

    public function test_bluetooth_is_one_phones_at_a_time(): void
    {
        $light = new Unit('c1', 'Run', Unit::LIGHT, 'bluetooth', 'bluetooth', Bench::leaflet(), 'table', kind: 'rgbw');
        $roster = Bench::roster([$light], [['phone', 'c1']]);
        $hands = [[0.0, 'power-on', 'c1'], [2.0, 'tap', 'c1', 'connect'], [3.0, 'tap', 'c1', 'type']];
        self::assertSame(Seen::YES, Bench::works(Bench::after($roster, $hands)));
        self::assertSame(['waits', 'joined'], Bench::after($roster, $hands)->device('c1')->shown(0, 10));
        self::assertSame(
            Seen::NOTHING,
            Bench::works(Bench::after($roster, array_slice($hands, 0, 2))),
            'no kind chosen',
        );
        $taken = Bench::after($roster, $hands, ['second-phone@c1']);
        self::assertSame([['held'], Seen::NOTHING], [$taken->device('c1')->shown(0, 10), Bench::works($taken)]);
        self::assertSame(Seen::WRONG, Bench::works(Bench::after($roster, $hands, ['wrong-style@c1'])));
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
            [Seen::YES, Seen::YES, Seen::YES],
            [Bench::works($near), Bench::works($near, 1), Bench::works($near, 2)],
        );
        $gap = Bench::after(
            Bench::roster([self::node('c1', 0), self::node('c2', 26), self::node('c3', 48)], $wants),
            $hands,
        );
        self::assertSame([Seen::YES, Seen::NOTHING], [Bench::works($gap), Bench::works($gap, 1)], '26 m');
        $slow = [
            [0.0, 'tap', 'phone', 'search mesh 60'],
            [5.0, 'power-on', 'c1'],
            ...Bench::presses('c1', 'NODE', 2, 6, 2.2),
        ];
        self::assertSame(
            Seen::NOTHING,
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
        self::assertSame(Seen::YES, Bench::works(Bench::after($roster, $link(8.0))));
        self::assertSame(Seen::NOTHING, Bench::works(Bench::after($roster, $link(5.4 + 11))), 'eleven seconds');
        $searching = [[0.0, 'tap', 'phone', 'search mesh 60'], ...$link(8.0)];
        self::assertSame(Seen::NOTHING, Bench::works(Bench::after($roster, $searching)), 'the search took the presses');
        $ended = [[0.0, 'tap', 'phone', 'search mesh 60'], [0.5, 'tap', 'phone', 'end mesh'], ...$link(8.0)];
        self::assertSame(Seen::YES, Bench::works(Bench::after($roster, $ended)));
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
        self::assertSame(Seen::YES, Bench::works(Bench::after($roster, $hands)));
        self::assertSame(['alone', 'held'], Bench::after($roster, $hands)->device('b1')->shown(0, 30));
        unset($hands[2], $hands[3]);
        self::assertSame(Seen::NOTHING, Bench::works(Bench::after($roster, array_values($hands))), 'no reboot');
        $hands = [
            [0.0, 'power-on', 'b1'],
            [5.0, 'tap', 'b1', 'give'],
            [10.0, 'power-off', 'b1'],
            [11.0, 'power-on', 'b1'],
            [20.0, 'tap', 'b1', 'set'],
        ];
        foreach (
            [
                'charge-lead@b1' => Seen::NOTHING,
                'new-address@b1' => Seen::NOTHING,
                'wrong-order@b1' => Seen::WRONG,
                'wrong-count@b1' => Seen::PART,
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
        self::assertSame(Seen::YES, Bench::works(Bench::after($roster, $hands)));
        unset($hands[4]);
        self::assertSame(Seen::NOTHING, Bench::works(Bench::after($roster, array_values($hands))), 'three presses');
        $hands = [[0.0, 'power-on', 'c1'], ...Bench::presses('c1', 'NET', 4, 2), [10.0, 'tap', 'c1', 'give']];
        foreach (['offline@c1', 'no-account@c1', 'other-network@phone'] as $flaw) {
            self::assertSame(Seen::NOTHING, Bench::works(Bench::after($roster, $hands, [$flaw])), $flaw);
        }
    }

    /** The wiring shows the same in every family. */
    public function test_loose_and_exchanged_leads_and_weak_supplies_show_on_the_load(): void
    {
        $roster = Bench::roster([Bench::zigbee(), Bench::hub()], [['h1', 'c1']]);
        $hands = [[0.0, 'power-on', 'c1'], [1.0, 'tap', 'h1', 'search']];
        foreach (
            [
                'lead-loose@c1' => Seen::PART,
                'leads-swapped@c1' => Seen::WRONG,
                'wrong-setting@c1' => Seen::WRONG,
                'supply-low@c1' => Seen::DIM,
                'brown-out@c1' => Seen::NOTHING,
                'dead@c1' => Seen::NOTHING,
            ]
            as $flaw => $seen
        ) {
            self::assertSame($seen, Bench::works(Bench::after($roster, $hands, [$flaw])), $flaw);
        }
    }
}
