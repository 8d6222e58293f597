<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Schedule;

use EmberDusk\Parts\PartsList;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Plan;
use EmberDusk\Rates\Productivity;
use EmberDusk\Rates\Work;
use EmberDusk\Schedule\Arrangement;
use EmberDusk\Schedule\CriticalPath;
use EmberDusk\Schedule\Days;
use EmberDusk\Schedule\RemainingWork;
use EmberDusk\Schedule\Slot;
use EmberDusk\Schedule\Step;
use EmberDusk\Schedule\Steps;
use EmberDusk\Schedule\Timetable;
use EmberDusk\Schedule\Visit;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\TestCase;

/** Critical path against a worked textbook network and against every path tried; schedules against their own rules; the calendar read back. */
final class TimetableTest extends TestCase
{
    /** @param  list<string>  $after */
    private static function step(string $id, int $minutes, array $after = [], int $wait = 0, int $people = 1): Step
    {
        return new Step(
            id: $id,
            kind: Work::Dry,
            place: 'Room',
            title: "Step {$id}",
            why: '',
            units: 1.0,
            table: $minutes,
            work: $minutes,
            minutes: $minutes,
            range: [$minutes, $minutes],
            people: $people,
            tools: [],
            caution: '',
            after: $after,
            wait: $wait,
        );
    }

    /** @return list<Step> */
    private static function steps(Plan $plan): array
    {
        return Steps::for($plan, PartsList::for($plan, Demo::shelf()), Productivity::from([]));
    }

    /**
     * The building project of Hillier and Lieberman, Introduction to Operations Research (from memory): fourteen activities, 44
     * weeks, critical A B C E F J L N; I may begin two weeks later and M four.
     */
    public function test_a_worked_textbook_network(): void
    {
        $project = [
            'A' => [2, []],
            'B' => [4, ['A']],
            'C' => [10, ['B']],
            'D' => [6, ['C']],
            'E' => [4, ['C']],
            'F' => [5, ['E']],
            'G' => [7, ['D']],
            'H' => [9, ['E', 'G']],
            'I' => [7, ['C']],
            'J' => [8, ['F', 'I']],
            'K' => [4, ['J']],
            'L' => [5, ['J']],
            'M' => [2, ['H']],
            'N' => [6, ['K', 'L']],
        ];
        $path = CriticalPath::from(
            array_map(
                static fn(string $id, array $of): Step => self::step($id, $of[0], $of[1]),
                array_keys($project),
                array_values($project),
            ),
        );
        self::assertSame(44, $path->length);
        self::assertSame(
            ['A', 'B', 'C', 'E', 'F', 'J', 'L', 'N'],
            array_values(array_filter(array_keys($project), $path->critical(...))),
        );
        $steps = array_map(
            static fn(string $id, array $of): Step => self::step($id, $of[0], $of[1]),
            array_keys($project),
            array_values($project),
        );
        self::assertSame(
            ['A', 'B', 'C', 'E', 'F', 'J', 'L', 'N'],
            array_map(static fn(Step $s): string => $s->id, $path->way(array_combine(array_keys($project), $steps))),
        );
        self::assertSame(
            [2, 4, 1],
            [
                $path->latest['I'] - $path->earliest['I'],
                $path->latest['M'] - $path->earliest['M'],
                $path->latest['K'] - $path->earliest['K'],
            ],
        );
    }

    public function test_the_longest_way_is_the_longest_of_all_ways(): void
    {
        mt_srand(12);
        for ($case = 0; $case < 40; $case++) {
            $steps = [];
            for ($n = 0; $n < 9; $n++) {
                $steps[] = self::step(
                    "s{$n}",
                    mt_rand(1, 60),
                    array_map(
                        static fn(int $b): string => "s{$b}",
                        array_keys(array_filter(array_fill(0, $n, 0), static fn(): bool => mt_rand(0, 2) === 0)),
                    ),
                    mt_rand(0, 3) === 0 ? mt_rand(1, 90) : 0,
                );
            }
            $byId = array_combine(array_map(static fn(Step $s): string => $s->id, $steps), $steps);
            $walk = static function (string $id) use (&$walk, $byId): int {
                return $byId[$id]->minutes + $byId[$id]->wait + max([0, ...array_map($walk, $byId[$id]->after)]);
            };
            $path = CriticalPath::from($steps);
            self::assertSame(max(array_map($walk, array_keys($byId))), $path->length, "case {$case}");
            self::assertSame(
                $path->length,
                array_sum(array_map(static fn(Step $s): int => $s->minutes + $s->wait, $path->way($byId))),
                "case {$case}: its way adds up",
            );
        }
    }

    public function test_steps_in_a_circle_are_named(): void
    {
        $this->expectException(Refusal::class);
        $this->expectExceptionMessage('in a circle: “Step a”, then “Step b”, then “Step a”');
        CriticalPath::from([self::step('a', 5, ['b']), self::step('b', 5, ['a']), self::step('c', 5)]);
    }

    public function test_a_schedule_keeps_its_own_rules(): void
    {
        $steps = self::steps(JobFile::read(Demo::file('observatory')));
        foreach ([1, 2] as $people) {
            $timetable = RemainingWork::for(
                steps: $steps,
                arrangement: new Arrangement([new Visit('2026-11-27', 0, $people)]),
                ticks: [],
                arrivals: ['cable-3x15' => '2026-12-02'],
                now: '2026-11-27',
            )->timetable;
            // The client is asked before the first day.
            self::assertCount(count($steps) - 1, $timetable->slots);
            $at = [];
            $busy = [];
            foreach ($timetable->slots as $slot) {
                self::assertLessThanOrEqual(5, (int) date('N', (int) strtotime($slot->day)));
                self::assertLessThanOrEqual(Timetable::DAY, $slot->to);
                foreach ($slot->step->after as $before) {
                    self::assertGreaterThanOrEqual(
                        [$at[$before]->day, $at[$before]->to],
                        [$slot->day, $slot->from],
                        $slot->step->id,
                    );
                }
                foreach ($slot->people as $person) {
                    self::assertGreaterThanOrEqual(
                        $busy[$person] ?? '',
                        "{$slot->day} " . sprintf('%04d', $slot->from),
                    );
                    $busy[$person] = "{$slot->day} " . sprintf('%04d', $slot->to);
                }
                self::assertCount(min($people, $slot->step->people), $slot->people);
                $at[$slot->step->id] = $slot;
            }
            self::assertSame('2026-12-02', $at['cables-cove']->day, 'the cable comes on that Wednesday');
        }
    }

    /** Silicone that was put on at the end of Monday's work has cured when Tuesday's is over, not before. */
    public function test_curing_goes_on_at_night_and_on_sundays(): void
    {
        $day = static fn(string $start, int $minutes): Slot => RemainingWork::for(
            steps: [self::step('seal', $minutes, [], 1440), self::step('cover', 30, ['seal'])],
            arrangement: new Arrangement([new Visit($start)]),
            ticks: [],
            arrivals: [],
            now: $start,
        )->timetable->slots[1];
        $monday = $day('2026-11-23', 120);
        self::assertSame(['2026-11-24', 120], [$monday->day, $monday->from]);
        $friday = $day('2026-11-27', 120);
        self::assertSame(['2026-11-30', 0], [$friday->day, $friday->from]);
        $late = $day('2026-11-23', 470);
        self::assertSame(
            ['2026-11-25', 0],
            [$late->day, $late->from],
            'half an hour does not fit into the rest of Tuesday',
        );
    }

    public function test_damp_runs_cure_and_runs_in_profile_are_covered_last(): void
    {
        $plan = Demo::with(JobFile::read(Demo::file('observatory')), [
            'kind' => 'ChooseKit',
            'run' => 'path',
            'kit' => 'strip-rgbw-24',
        ]);
        $steps = [];
        foreach (self::steps($plan) as $step) {
            $steps[$step->id] = $step;
        }
        self::assertSame([1440, ['seal-path']], [$steps['seal-path']->wait, $steps['diffuser-path']->after]);
        self::assertArrayNotHasKey('seal-cove', $steps);
        self::assertStringContainsString('licensed person', $steps['isolate-lecture']->caution);
        // Two cores at both ends of the trunk and three at the start of the tail go into terminals: seven of three minutes. Three are soldered
        // to the strip, and three where each of four reels is joined: twelve of six.
        self::assertSame(
            ['Cove: solder 12 joints, screw 7 cores into terminals', 95],
            [$steps['joints-cove']->title, $steps['joints-cove']->minutes],
            '93 minutes, told in fives',
        );
    }

    /** A straight strip for profile that two people carry is soldered before it is fixed; a longer one where it hangs. */
    public function test_a_short_strip_is_soldered_before_it_is_fixed(): void
    {
        $order = static function (string $metres): array {
            $plan = Demo::with(
                Demo::run($metres, 'strip-tunable-24', 'supply-24-150', 'controller-zigbee-2', 'cable-3x15'),
                ['kind' => 'ReviseNotes', 'place' => 'room', 'text' => "start end\n{$metres} line\nrun line, profile"],
            );
            $kinds = array_map(static fn(Step $s): string => $s->kind->value, self::steps($plan));

            return array_values(array_intersect($kinds, ['cut', 'profile', 'joints', 'second']));
        };
        self::assertSame(['cut', 'joints', 'profile', 'second'], $order('2.9'));
        self::assertSame(['cut', 'profile', 'joints', 'second'], $order('3.1'));
    }

    /** No ladder is named where run and units are reached from the floor; with an unknown height it is. */
    public function test_a_shelf_needs_no_ladder(): void
    {
        $cautions = static function (string $up): string {
            $plan = Demo::with(
                Demo::run('2.9', 'strip-tunable-24', 'supply-24-150', 'controller-zigbee-2', 'cable-3x15'),
                [
                    'kind' => 'ReviseNotes',
                    'place' => 'room',
                    'text' => "start end\n2.9 line\nrun line, profile{$up}",
                ],
            );

            return implode(' ', array_map(static fn(Step $s): string => $s->caution, self::steps($plan)));
        };
        self::assertStringNotContainsStringIgnoringCase('ladder', $cautions(', up 1.50'));
        self::assertStringContainsString('Set the ladder', $cautions(', up 2.30'));
        self::assertStringContainsString('Ladders: two people', $cautions(''));
    }

    /** A cure at one place and work at two: people stay where they are while there is work, and go only where the end would be later. */
    public function test_people_stay_at_a_place_unless_the_last_day_would_be_later(): void
    {
        $at = static fn(Step $s, string $place): Step => new Step(...[...get_object_vars($s), 'place' => $place]);
        $order = static fn(array $steps): array => array_map(
            static fn(Slot $s): string => $s->step->id,
            Timetable::for(array_values($steps), Days::for(new Arrangement(), '2026-11-23'))->slots,
        );
        // By slack alone: a1 b1 a2 b2, three ways between the places.
        $hall = [$at(self::step('a1', 60), 'hall'), $at(self::step('a2', 30, ['a1']), 'hall')];
        $loft = [$at(self::step('b1', 50), 'loft'), $at(self::step('b2', 30, ['b1']), 'loft')];
        self::assertSame(['a1', 'a2', 'b1', 'b2'], $order([...$hall, ...$loft]));
        // Silicone in the loft cures for a day: it is sealed first, although the hall has a full day of work.
        $day = [$at(self::step('a1', 240), 'hall'), $at(self::step('a2', 200, ['a1']), 'hall')];
        $cure = [
            $at(self::step('b0', 5), 'hall'),
            $at(self::step('b1', 30, ['b0'], 1440), 'loft'),
            $at(self::step('b2', 30, ['b1']), 'loft'),
        ];
        self::assertSame(['b0', 'b1', 'a1', 'a2', 'b2'], $order([...$day, ...$cure]));
    }
}
