<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Joining;

use EmberDusk\Joining\Act;
use EmberDusk\Joining\Event;
use EmberDusk\Joining\Families;
use EmberDusk\Joining\Flaw;
use EmberDusk\Joining\Flaws;
use EmberDusk\Joining\LiveRun;
use EmberDusk\Joining\Look;
use EmberDusk\Joining\Observation;
use EmberDusk\Joining\Order\Order;
use EmberDusk\Joining\Rehearsal;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Simulation\Acceptance;
use EmberDusk\Joining\Task;
use EmberDusk\Joining\TimingMethod;
use EmberDusk\Joining\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * A made-up club house: three controllers, two behind one switch, one 14 m off; a remote; a panel to be fixed 6 m away that still belongs to last
 * year's; a hub that searches 40 s with 22 s of taps to it, windows of 12 s; an assistant that reads the hub; a unit with two lines; one plain miss.
 */
final class ClubHouseTest extends TestCase
{
    private static function house(): Roster
    {
        $light = static fn(string $id, float $x, string $switch, float $lines = 1.0): Unit => new Unit(
            id: $id,
            name: "Run {$id}",
            role: Unit::LIGHT,
            family: 'zigbee',
            way: 'zigbee',
            leaflet: Bench::zigbee()->leaflet->withFigures(['listens' => 12.0, 'entries' => $lines]),
            place: 'club',
            at: [$x, 0.0],
            switch: $switch,
            kind: 'tunable',
        );
        $wants = [];
        foreach (['c1', 'c2', 'c3'] as $n => $id) {
            $wants = [...$wants, ['h1', $id], ['r1', $id, $n + 1], ['p1', $id, $n + 1], ['a1', $id]];
        }

        return Bench::roster(
            [
                $light('c1', 0.0, 's1'),
                $light('c2', 1.0, 's1', 2.0),
                $light('c3', 14.0, 's2'),
                new Unit(
                    id: 'h1',
                    name: 'Hub',
                    role: Unit::HUB,
                    family: 'hub',
                    way: 'zigbee',
                    leaflet: Bench::leaflet([], ['search' => 40, 'taps' => 22, 'lagLeast' => 2, 'lagMost' => 6]),
                    place: 'club',
                    at: [2.0, 0.0],
                    speaks: ['zigbee'],
                    most: 20,
                ),
                Bench::remote(),
                new Unit(
                    id: 'p1',
                    name: 'Panel',
                    role: Unit::PANEL,
                    family: 'remote',
                    way: 'zigbee',
                    leaflet: Bench::remote()->leaflet,
                    place: 'club',
                    at: [6.0, 0.0],
                    zones: 4,
                    used: true,
                ),
                new Unit(
                    'a1',
                    'Assistant',
                    Unit::ASSISTANT,
                    'assistant',
                    'wifi',
                    Bench::leaflet([], ['search' => 20]),
                    'club',
                    [3.0, 0.0],
                ),
            ],
            $wants,
        );
    }

    /** @return iterable<string, array{TimingMethod}> */
    public static function schools(): iterable
    {
        foreach (TimingMethod::TIMINGS as $timing) {
            yield $timing => [new TimingMethod($timing)];
        }
    }

    #[DataProvider('schools')]
    public function test_everything_works_and_nothing_is_reset_needlessly(TimingMethod $school): void
    {
        foreach (range(1, 10) as $seed) {
            $done = Rehearsal::run(self::house()->in($school), $seed, [new Flaw(Flaws::MISSED, 'c3')]);
            self::assertSame(
                array_fill_keys(array_keys($done->tried), Observation::Expected),
                $done->tried,
                "seed {$seed}",
            );
            self::assertCount(12, $done->tried);
            self::assertSame([[], []], [$done->found, $done->run->progress()->marks->aside]);
            $resets = array_count_values(
                array_map(
                    static fn(array $asked): string => $asked[1]->device,
                    array_values(
                        array_filter($done->trail, static fn(array $asked): bool => $asked[1]->kind === 'reset'),
                    ),
                ),
            );
            ksort($resets);
            // A missed join is repeated; if a search runs already, its power-up was the first try.
            self::assertLessThanOrEqual(2, $resets['c3']);
            unset($resets['c3']);
            self::assertSame(['c1' => 1, 'c2' => 1, 'p1' => 1, 'r1' => 1], $resets);
        }
    }

    public function test_the_second_line_is_hidden_the_neighbour_has_no_power_and_names_come_before_they_are_read(): void
    {
        $done = Rehearsal::run(self::house(), 1);
        $titles = array_map(static fn(array $asked): string => $asked[1]->title, $done->trail);
        self::assertCount(1, preg_grep('/second entry of run c2/', $titles) ?: []);
        self::assertNotSame([], preg_grep('/Supply off, lift C2’s lead/', $titles) ?: []);
        $at = static fn(callable $which): array => array_keys(array_filter($done->run->log(), $which));
        $named = $at(static fn(Event $e): bool => $e->kind === Event::NAMED);
        $read = $at(static fn(Event $e): bool => $e->kind === Act::TAP && $e->device === 'a1');
        self::assertCount(3, $named);
        self::assertNotSame([], $read);
        self::assertGreaterThan($named[2] ?? 0, $read[0] ?? 0);
    }

    /** Rule 11: every control is tried, then once more with covers closed, after mains off and on, without internet, without hub. */
    public function test_everything_is_tried_at_the_end_and_once_more_as_it_will_be_lived_with(): void
    {
        $done = Rehearsal::run(self::house(), 1);
        $tasks = array_map(static fn(array $asked): string => explode(' ', $asked[1]->task)[0], $done->trail);
        $from = array_search('accept', $tasks, true);
        self::assertIsInt($from);
        $phases = array_values(array_unique(array_slice($tasks, $from)));
        self::assertSame(['accept', 'closed', 'mains', 'offline', 'hubless'], $phases);
        $looked = array_count_values(
            array_map(
                static fn(array $asked): string => $asked[1]->look->value . ' ' . explode(' ', $asked[1]->task)[0],
                $done->trail,
            ),
        );
        // Four controls with three lights each; four with covers closed, three lights, one assistant, two remotes beside it.
        self::assertSame([12, 4, 3, 1, 3], array_map(static fn(string $p): int => $looked["try {$p}"], $phases));
        $said = [];
        foreach ($done->run->log() as $event) {
            $what = $event->step?->what();
            if ($event->seen !== null && in_array($what, ['closed', 'mains', 'offline', 'hubless'], true)) {
                $said["{$what} {$event->step->device()}"] = $event->seen;
            }
        }
        // An assistant needs the internet and the hub that it reads; touch links need neither.
        self::assertSame(
            [
                'closed h1' => Observation::Expected,
                'closed r1' => Observation::Expected,
                'closed p1' => Observation::Expected,
                'closed a1' => Observation::Expected,
                'mains c1' => Observation::Expected,
                'mains c2' => Observation::Expected,
                'mains c3' => Observation::Expected,
                'offline a1' => Observation::Nothing,
                'hubless r1' => Observation::Expected,
                'hubless p1' => Observation::Expected,
                'hubless a1' => Observation::Nothing,
            ],
            $said,
        );
        self::assertTrue($done->works(), 'what was taken away is given back');
        self::assertSame([], $done->run->progress()->marks->aside);
    }

    /** No listed cause explains it: it is reported, and the run continues. */
    public function test_reports_a_light_that_stays_dark_and_continues(): void
    {
        $roster = self::house();
        $tasks = array_values(array_filter(Order::for($roster), static fn(Task $t): bool => $t->what === Task::MAINS));
        $run = new LiveRun($roster, $tasks, 1, onSite: true);
        $now = 0.0;
        for ($n = 0; $n < 10 && !$run->done($now); $n++) {
            $step = $run->next($now += 5.0);
            $step->look === Look::Hand
                ? $run->work($step->key(), $now)
                : $run->act(
                    Event::SAW,
                    $step->device,
                    $now,
                    $step->key() . '|' . ($step->device === 'c2' ? 'nothing' : 'expected'),
                );
        }
        self::assertTrue($run->done($now));
        self::assertSame(
            ['C2, run c2 after mains off and on: nothing seen.'],
            array_values($run->progress()->marks->aside),
        );
    }

    /** Known to be on its wall: each controller is brought to it on a temporary supply, and put back. */
    public function test_controllers_are_brought_to_a_panel_that_is_fixed(): void
    {
        foreach (range(1, 5) as $seed) {
            $done = Rehearsal::run(self::house()->fixing(['p1']), $seed);
            self::assertTrue($done->works(), "seed {$seed}");
            self::assertSame([], $done->found);
            $kinds = [];
            foreach ($done->trail as [, $step]) {
                if (str_starts_with($step->task, 'link p1 ') && preg_match('/^(on|off) /', $step->kind) === 0) {
                    $kinds[$step->task][] = $step->kind;
                }
            }
            ksort($kinds);
            self::assertSame(['link p1 c1', 'link p1 c2', 'link p1 c3'], array_keys($kinds));
            foreach ($kinds as $task => $of) {
                self::assertSame(['bring', 'open', 'link', 'back'], $of, $task);
            }
        }
    }

    /** The panel stays on its wall on the simulated site too: an order that does not bring the controllers fails. */
    public function test_a_fixed_panel_links_to_nothing_that_is_not_brought_to_it(): void
    {
        $house = self::house();
        $orders = Rehearsal::run($house, 1);
        $site = Families::site($house->fixing(['p1']), 1);
        foreach ($orders->run->log() as $event) {
            $site->apply($event);
        }
        $works = array_filter(Acceptance::all($site), static fn(Observation $o): bool => $o === Observation::Expected);
        self::assertCount(9, $works, 'all but the three lights of the panel');
        self::assertSame([], preg_grep('/^p1/', array_keys($works)) ?: []);
    }

    /** A module on mains is never carried to a panel: the panel is taken off, by a licensed person. */
    public function test_a_module_on_mains_stays_where_it_is(): void
    {
        $house = self::house();
        $lamps = new Unit(
            id: 'c3',
            name: 'Lamps',
            role: Unit::LIGHT,
            family: 'zigbee',
            way: 'zigbee',
            leaflet: $house->unit('c3')->leaflet,
            place: 'club',
            at: [14.0, 0.0],
            kind: 'tunable',
            load: Unit::LAMPS,
        );
        $roster = (new Roster([...$house->units, 'c3' => $lamps], $house->wants))->fixing(['p1']);
        $done = Rehearsal::run($roster, 1);
        self::assertTrue($done->works());
        $steps = array_column(
            array_map(static fn(array $t): array => [$t[1]->key(), $t[1]->title . ' ' . $t[1]->caution], $done->trail),
            1,
            0,
        );
        self::assertStringStartsWith('Take P1 off its plate, and bring it to C3', $steps['link p1 c3/bring']);
        self::assertStringContainsString('licensed person', $steps['link p1 c3/bring']);
        self::assertStringStartsWith('Fix P1 again', $steps['link p1 c3/back']);
        self::assertStringNotContainsString('temporary supply', $steps['link p1 c3/bring']);
        self::assertStringContainsString('temporary supply', $steps['link p1 c1/bring']);
    }

    /** Within the distance of the instructions nothing is moved; a place without measurements counts as far. */
    public function test_a_controller_beside_a_fixed_panel_stays_where_it_is(): void
    {
        $at = static function (?float $x): Roster {
            $panel = new Unit(
                id: 'p1',
                name: 'Panel',
                role: Unit::PANEL,
                family: 'remote',
                way: 'zigbee',
                leaflet: Bench::remote()->leaflet,
                place: 'table',
                at: $x === null ? null : [$x, 0.0],
                zones: 4,
                fixed: true,
            );

            return Bench::roster([Bench::zigbee(), $panel], [['p1', 'c1', 1]]);
        };
        self::assertFalse($at(0.1)->brought('c1', 'p1'));
        self::assertTrue($at(0.11)->brought('c1', 'p1'));
        self::assertTrue($at(null)->brought('c1', 'p1'));
        foreach ([0.05, 4.0, null] as $x) {
            self::assertTrue(Rehearsal::run($at($x), 1)->works());
        }
    }

    /** A mounted panel is too far from everything except what is brought to it: searched and fixed. */
    public function test_a_panel_that_is_fixed_too_early_is_found(): void
    {
        $done = Rehearsal::run(self::house(), 1, [new Flaw('panel-fixed', 'p1')]);
        self::assertSame(['panel-fixed@p1'], $done->found);
        self::assertTrue($done->works());
    }
}
