<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Schedule;

use EmberDusk\Formats\Fields;
use EmberDusk\Schedule\Arrangement;
use EmberDusk\Schedule\Days;
use EmberDusk\Schedule\Move;
use EmberDusk\Schedule\Pin;
use EmberDusk\Schedule\Slot;
use EmberDusk\Schedule\Tick;
use EmberDusk\Schedule\Visit;
use EmberDusk\Schedule\WaitingTime;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\TestCase;

/** Days, visits, moves and waits, calculated by hand; 30 November 2026 is a Monday. */
final class RemainingWorkTest extends TestCase
{
    use WorkedSteps;

    public function test_the_days_of_visits_are_worked_and_then_as_many_as_it_takes(): void
    {
        $days = Days::for(
            new Arrangement([new Visit('2026-11-30', 1, 1), new Visit('2026-12-10', 2, 2)]),
            '2026-11-01',
        );
        $of = static fn(int $n): array => [$days->date($n), $days->people($n), $days->visit($n)];
        self::assertSame(
            [
                ['2026-11-30', 1, 0],
                ['2026-12-10', 2, 1],
                ['2026-12-11', 2, 1],
                ['2026-12-14', 2, null],
                ['2026-12-15', 2, null],
            ],
            array_map($of, [0, 1, 2, 3, 4]),
            'the 12th and 13th are a weekend',
        );
        self::assertSame([2, 2], [$days->most(0), $days->most(3)]);
        self::assertSame(
            [1, null, 3],
            [$days->number('2026-12-10'), $days->number('2026-12-12'), $days->on('2026-12-12')],
        );
        $weekends = Days::for(new Arrangement([new Visit('2026-12-12')], true), '2026-11-01');
        self::assertSame(['2026-12-12', '2026-12-13'], [$weekends->date(0), $weekends->date(1)]);
        self::assertSame(
            '2026-12-14',
            Days::for(new Arrangement([new Visit('2026-12-12')]), '2026-11-01')->date(0),
            'a Saturday is no day of work',
        );
    }

    public function test_remaining_work_starts_today(): void
    {
        $days = Days::for(new Arrangement([new Visit('2026-11-30', 3, 1)]), '2026-12-02');
        self::assertSame(
            [['2026-12-02', 0], ['2026-12-03', null]],
            [[$days->date(0), $days->visit(0)], [$days->date(1), $days->visit(1)]],
            'two of its three days have gone by',
        );
    }

    public function test_a_visit_of_years_ago_does_no_harm_and_one_that_never_comes_is_refused(): void
    {
        $days = Days::for(new Arrangement([new Visit('2019-01-01', 2, 1)]), '2026-12-02');
        self::assertSame(['2026-12-02', null], [$days->date(0), $days->visit(0)]);
        $far = Days::for(new Arrangement([new Visit('2026-12-02', 1, 1), new Visit('2029-11-01', 1, 1)]), '2026-12-02');
        self::assertSame('2029-11-01', $far->date(1));
        $this->expectExceptionMessage('reaches too far into the future');
        $days->on('9999-12-31');
    }

    public function test_a_minute_of_work_is_a_time_of_the_clock(): void
    {
        $days = Days::for(new Arrangement([new Visit('2026-12-04')]), '2026-11-01');
        self::assertSame(
            ['2026-12-04 08:00', '2026-12-04 16:00', '2026-12-07 08:05', 'Mon 7 Dec 09:00'],
            [$days->clock(0), $days->clock(480), $days->clock(485), $days->words(540)],
            'the end of Friday is not Monday morning',
        );
        self::assertSame(
            [120, 480, 480, 600],
            [
                $days->minute('2026-12-04', 600),
                $days->minute('2026-12-04', 1200),
                $days->minute('2026-12-06', 600),
                $days->minute('2026-12-07', 600),
            ],
        );
        // Put on at ten on Friday, a day to cure: Saturday, so Monday's first minute. Six hours: at four on Friday.
        self::assertSame([480, 480, 240], [$days->cured(120, 1440), $days->cured(120, 360), $days->cured(120, 120)]);
    }

    public function test_two_people_are_waited_for_where_they_come_at_all(): void
    {
        $steps = [self::step('a', 60), self::step('b', 60, [], 2), self::step('c', 60, ['b'])];
        $remaining = self::remaining($steps, [new Visit('2026-11-30', 1, 1), new Visit('2026-12-07', 0, 2)]);
        self::assertSame(
            ['a' => ['2026-11-30', 0], 'b' => ['2026-12-07', 0], 'c' => ['2026-12-07', 60]],
            self::begins($remaining),
        );
        self::assertSame(
            [[0], [0, 1]],
            array_map(static fn(Slot $s): array => $s->people, array_slice($remaining->timetable->slots, 0, 2)),
        );
        $alone = self::remaining($steps, [new Visit('2026-11-30')]);
        $slot = array_values(
            array_filter($alone->timetable->slots, static fn(Slot $s): bool => $s->step->id === 'b'),
        )[0];
        self::assertSame(
            [[0], true],
            [$slot->people, $slot->short],
            'where nobody else ever comes it is done alone, and said',
        );
    }

    public function test_what_two_people_did_not_get_done_is_done_alone(): void
    {
        // Two hours are left of the only day with two: the step of three goes into the next visit, which has one.
        $steps = [self::step('a', 360, [], 2), self::step('b', 180, ['a'], 2), self::step('c', 60, ['b'])];
        $remaining = self::remaining($steps, [new Visit('2026-11-30', 1, 2), new Visit('2026-12-07', 0, 1)]);
        self::assertSame(
            ['a' => ['2026-11-30', 0], 'b' => ['2026-12-07', 0], 'c' => ['2026-12-07', 180]],
            self::begins($remaining),
        );
        self::assertSame(
            [false, true, false],
            array_map(static fn(Slot $s): bool => $s->short, $remaining->timetable->slots),
        );
        // A pin for the second person holds nothing up where there is none any more.
        $pinned = self::remaining(
            steps: [self::step('a', 480, [], 2), self::step('b', 60, ['a'])],
            visits: [new Visit('2026-11-30', 1, 2), new Visit('2026-12-07', 0, 1)],
            pins: ['b' => new Pin('b', '2026-12-08', 0, 1)],
        );
        self::assertSame(['2026-12-08', 0], self::begins($pinned)['b']);
    }

    public function test_a_step_longer_than_a_day_goes_on_the_next(): void
    {
        $remaining = self::remaining([self::step('a', 30), self::step('b', 600, ['a']), self::step('c', 30, ['b'])]);
        self::assertSame(
            [
                ['a', '2026-11-30', 0, 30, true],
                ['b', '2026-12-01', 0, 480, false],
                ['b', '2026-12-02', 0, 120, true],
                ['c', '2026-12-02', 120, 150, true],
            ],
            array_map(
                static fn(Slot $s): array => [$s->step->id, $s->day, $s->from, $s->to, $s->last],
                $remaining->timetable->slots,
            ),
        );
    }

    public function test_parts_on_the_way_are_waited_for_and_others_go_on(): void
    {
        $steps = [
            self::step(id: 'a', minutes: 60, people: 1, wait: 0, needs: ['strip']),
            self::step('b', 60),
            self::step('c', 60, ['a']),
        ];
        $remaining = self::remaining($steps, [], [], ['strip' => '2026-12-03', 'nothing' => '2027-01-01']);
        self::assertSame(
            ['b' => ['2026-11-30', 0], 'a' => ['2026-12-03', 0], 'c' => ['2026-12-03', 60]],
            self::begins($remaining),
        );
        self::assertSame(
            [
                [
                    'step' => 'a',
                    'part' => 'strip',
                    'from' => '2026-11-30 08:00',
                    'until' => '2026-12-03 08:00',
                    'meanwhile' => ['b'],
                ],
            ],
            (new WaitingTime($remaining))->for(),
        );
    }

    public function test_other_work_continues_during_curing(): void
    {
        $steps = [
            self::step(id: 'seal', minutes: 60, people: 1, wait: 1440),
            self::step('cover', 30, ['seal']),
            self::step('other', 45),
        ];
        $remaining = self::remaining($steps);
        self::assertSame(
            [
                [
                    'step' => 'seal',
                    'part' => '',
                    'from' => '2026-11-30 09:00',
                    'until' => '2026-12-01 09:00',
                    'meanwhile' => ['other'],
                ],
            ],
            (new WaitingTime($remaining))->for(),
        );
        self::assertSame(['2026-12-01', 60], self::begins($remaining)['cover']);
        self::assertSame([], (new WaitingTime(self::remaining(array_slice($steps, 0, 2))))->for()[0]['meanwhile']);
    }

    public function test_finished_steps_are_not_planned_and_still_cure(): void
    {
        $steps = [self::step(id: 'seal', minutes: 60, people: 1, wait: 1440), self::step('cover', 30, ['seal'])];
        $remaining = self::remaining(
            steps: $steps,
            ticks: ['seal' => new Tick('seal', 50, '2026-11-30 10:20')],
            today: '2026-11-30',
        );
        self::assertSame(['cover' => ['2026-12-01', 140]], self::begins($remaining));
        self::assertSame(['cover'], array_keys($remaining->left));
        self::assertSame(['seal', 'cover'], array_keys($remaining->steps));
        $late = self::remaining(
            steps: $steps,
            ticks: ['seal' => new Tick('seal', 50, '2026-11-27 15:00')],
            today: '2026-11-30',
        );
        self::assertSame(['cover' => ['2026-11-30', 0]], self::begins($late), 'over the weekend it has cured');
    }

    public function test_nothing_that_is_left_begins_before_now(): void
    {
        $of = static fn(string $now): array => self::begins(
            self::remaining(
                steps: [self::step('a', 60), self::step('b', 60, ['a'])],
                visits: [new Visit('2026-11-30')],
                today: $now,
            ),
        );
        self::assertSame(['a' => ['2026-11-30', 145], 'b' => ['2026-11-30', 205]], $of('2026-11-30 10:21'), 'in fives');
        self::assertSame(['a' => ['2026-11-30', 0], 'b' => ['2026-11-30', 60]], $of('2026-11-30 07:00'));
        self::assertSame(['a' => ['2026-11-30', 420], 'b' => ['2026-12-01', 0]], $of('2026-11-30 15:00'));
        self::assertSame(['a' => ['2026-12-01', 0], 'b' => ['2026-12-01', 60]], $of('2026-11-30 19:00'));
        self::assertSame(
            ['a' => ['2026-11-30', 0], 'b' => ['2026-11-30', 60]],
            $of('2026-11-27 15:00'),
            'the visit is still to come',
        );
        $remaining = self::remaining(
            steps: [self::step('a', 60)],
            visits: [new Visit('2026-11-30')],
            today: '2026-11-30 10:21',
        );
        self::assertSame(
            ['That time is over. Move it to a later time.'],
            Move::for($remaining, new Pin('a', '2026-11-30', 60))->broken,
        );
    }

    public function test_an_arrangement_is_read_back_and_faulty_ones_say_where(): void
    {
        $arrangement = new Arrangement(
            [new Visit('2026-12-07', 2, 2), new Visit('2026-12-14')],
            true,
            ['a' => new Pin('a', '2026-12-08', 45, 1)],
            [['b', 'a']],
        );
        self::assertEquals($arrangement, Arrangement::read(new Fields($arrangement->write())));
        self::assertSame([], $arrangement->moved('a', null)->pins);
        self::assertSame([], $arrangement->waiting('b', 'a', false)->waits);
        $written = $arrangement->write();
        foreach (
            [
                '/visits/0/from' => ['visits' => [['from' => '2026-02-30', 'days' => 1, 'people' => 1]]],
                '/visits/0/people' => ['visits' => [['from' => '2026-12-01', 'days' => 1, 'people' => 3]]],
                '/visits/1/from' => [
                    'visits' => [
                        ['from' => '2026-12-01', 'days' => 1, 'people' => 1],
                        ['from' => '2026-12-01', 'days' => 0, 'people' => 1],
                    ],
                ],
                '/pins/0/from' => ['pins' => [['step' => 'a', 'day' => '2026-12-01', 'from' => 480, 'person' => 0]]],
                '/visits' => [
                    'visits' => array_map(
                        static fn(int $n): array => ['from' => sprintf('2026-12-%02d', $n), 'days' => 1, 'people' => 1],
                        range(1, 21),
                    ),
                ],
            ]
            as $pointer => $bad
        ) {
            try {
                Arrangement::read(new Fields($bad + $written));
                self::fail($pointer);
            } catch (Refusal $refusal) {
                self::assertSame($pointer, $refusal->pointer);
            }
        }
    }
}
