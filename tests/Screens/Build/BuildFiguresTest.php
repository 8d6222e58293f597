<?php

declare(strict_types=1);

namespace Tests\Screens\Build;

use App\Screens\Build\BuildScreen;
use App\Screens\Build\MoveCost;
use App\Screens\Build\Papers;
use App\Screens\Home\Waiting;
use App\Screens\Parts\PartsScreen;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Schedule\ScheduleFindings;
use EmberDusk\Costing\QuoteLine;
use EmberDusk\Job\JobState;
use EmberDusk\Parts\Mark;
use EmberDusk\Parts\Offcut;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Plan;
use EmberDusk\Rates\Productivity;
use EmberDusk\Rates\Work;
use EmberDusk\Schedule\Arrangement;
use EmberDusk\Schedule\Pin;
use EmberDusk\Schedule\Slot;
use EmberDusk\Schedule\Tick;
use EmberDusk\Schedule\Visit;
use EmberDusk\Tests\Demo;
use EmberDusk\Tests\FigureAssertions;
use EmberDusk\Tests\Responses;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Finding;
use PHPUnit\Framework\TestCase;

/** Figures of Parts, Build and the quote: every number has a working that gives it, and they agree. */
final class BuildFiguresTest extends TestCase
{
    use FigureAssertions;

    private static function plan(): Plan
    {
        return Demo::with(
            JobFile::read(Demo::file('observatory')),
            ['kind' => 'ChooseKit', 'run' => 'path', 'kit' => 'strip-rgbw-24'],
            ['kind' => 'SetSpare', 'kit' => 'connector-solder', 'count' => 7],
            ['kind' => 'SetOwned', 'kit' => 'supply-24-240', 'count' => 1],
            ['kind' => 'ChooseKit', 'run' => 'band', 'kit' => 'pixels-5-rgb'],
        );
    }

    /** @param  array<string, Tick>  $ticks */
    private static function work(?Arrangement $arrangement = null, array $ticks = []): JobState
    {
        $productivity = Productivity::from(
            array_map(static fn(int $t): array => ['kind' => 'profile', 'table' => 30, 'taken' => $t], [
                33,
                41,
                36,
                40,
            ]),
        );

        return new JobState(
            self::plan(),
            [],
            Demo::shelf(),
            [],
            marks: ['cable-3x15' => new Mark('ordered', '2026-12-03')],
            today: '2026-11-30',
            arrangement: $arrangement ?? new Arrangement([new Visit('2026-11-30', 0, 2)]),
            ticks: $ticks,
            productivity: $productivity,
            offcuts: [new Offcut(3, 'profile-flat', 1.5), new Offcut(4, 'strip-tunable-24', 3.1, true)],
        );
    }

    public function test_every_working_gives_its_value(): void
    {
        $state = self::work();
        $ledgers = array_map(static fn(Figure $f): array => $f->write(), [
            ...PartsScreen::ledger($state),
            ...BuildScreen::ledger($state),
            $state->schedule()->quote()->figure(),
        ]);
        $figures = [
            ...$ledgers,
            ...self::sent(PartsScreen::picture($state)->write()),
            ...self::sent(BuildScreen::picture($state)->write()),
        ];
        self::assertGreaterThan(70, count($figures));
        self::assertWorkings($figures);
    }

    public function test_answers_match_the_schema(): void
    {
        $state = self::work(
            new Arrangement(
                [new Visit('2026-11-30', 1, 1), new Visit('2026-12-07', 1, 2)],
                true,
                ['tidy-lecture' => new Pin('tidy-lecture', '2026-12-07', 60)],
                [['dry-cove', 'trace-lecture']],
            ),
            ['isolate-lecture' => new Tick('isolate-lecture', 9, '2026-11-30 08:09')],
        );
        Responses::check(PartsScreen::picture($state), 'partsPicture');
        Responses::check(BuildScreen::picture($state), 'buildPicture');
        Responses::check(MoveCost::for($state, new Pin('tidy-lecture', '2026-12-07', 120)), 'moveCost');
        self::assertSame(
            [['step' => 'dry-cove', 'after' => 'trace-lecture']],
            BuildScreen::picture($state)->write()['added'],
        );
    }

    public function test_sums_agree_wherever_they_are_shown(): void
    {
        $state = self::work();
        $parts = PartsScreen::picture($state)->write()['parts'];
        self::assertIsArray($parts);
        $shown = array_sum(array_map(static fn(array $p): float => (float) ($p['cost']['text'] ?? 0), $parts));
        self::assertEqualsWithDelta(PartsScreen::ledger($state)[0]->value, $shown, 0.005);
        self::assertSame(
            '0.00',
            array_values(array_filter($parts, static fn(array $p): bool => $p['key'] === 'supply-24-240'))[0]['cost'][
                'text'
            ],
            'what the client owns costs nothing',
        );
        // The quote's labour is Build's: unrounded minutes of all steps by as many people as there are, at 40 an hour,
        // half an hour to look again, 50 minutes back and forth for each person and each visit.
        $quote = $state->schedule()->quote();
        $labour = array_values(
            array_filter(BuildScreen::ledger($state), static fn(Figure $f): bool => $f->label === 'Labour'),
        )[0];
        $cents = array_sum(array_map(static fn(QuoteLine $l): int => $l->minutes > 0 ? $l->cents : 0, $quote->lines));
        self::assertSame((int) round(100 * $labour->value), $cents);
        self::assertSame($quote->total, $quote->net + $quote->tax);
        self::assertEqualsWithDelta($quote->total / 100, $quote->figure()->value, 1e-9);
        $by =
            30.0 +
            50.0 * (1 + array_sum(array_map(static fn(Visit $v): int => $v->people, $state->arrangement->visits)));
        foreach ($state->schedule()->steps as $step) {
            // Four profiles were timed at 1.1, 41/30, 1.2 and 4/3 of the table.
            $pace = $step->kind === Work::Profile ? (1.1 * (41 / 30) * 1.2 * (4 / 3)) ** 0.25 : 1.0;
            $by += $pace * $step->units * $step->kind->minutes() * min(2, $step->people);
        }
        self::assertEqualsWithDelta($by / 60, $labour->value / 40, (count($quote->lines) * 0.005) / 40);
    }

    public function test_the_crews_own_pace_is_shown_with_its_range(): void
    {
        $steps = BuildScreen::picture(self::work())->write()['steps'];
        self::assertIsArray($steps);
        $profile = array_values(array_filter($steps, static fn(array $s): bool => $s['id'] === 'profile-cove'))[0];
        // 18 m at six minutes: 108; the mean of 1.1, 1.367, 1.2 and 1.333 is 1.245: 134.5, in fives 135.
        self::assertSame([135, 4], [$profile['minutes'], $profile['timed']]);
        self::assertStringContainsString('from 4 timed', $profile['work']['inputs'][2]['meaning']);
        self::assertLessThan(134, (int) $profile['work']['range'][0]);
        self::assertGreaterThan(135, (int) $profile['work']['range'][1]);
        $dry = array_values(array_filter($steps, static fn(array $s): bool => $s['id'] === 'dry-cove'))[0];
        self::assertSame(
            [40, 0, ['25', '54']],
            [$dry['minutes'], $dry['timed'], $dry['work']['range']],
            'seven tenths to one and a half of the table',
        );
    }

    public function test_parts_say_which_step_they_block_and_when_to_order(): void
    {
        $rows = [];
        $picture = PartsScreen::picture(self::work())->write()['parts'];
        self::assertIsArray($picture);
        foreach ($picture as $row) {
            $rows[$row['key']] = $row;
        }
        self::assertSame(
            ['cables-cove', '2026-12-03'],
            [$rows['cable-3x15']['steps'][0]['id'], $rows['cable-3x15']['steps'][0]['day']],
            'it comes on that Thursday',
        );
        self::assertSame('dry-cove', $rows['strip-tunable-24']['steps'][0]['id']);
        self::assertSame('joints-cove', $rows['connector-solder']['steps'][0]['id']);
        // Pixels are 25 days on the way and needed immediately: too late already.
        self::assertSame(
            [25.0, true],
            [$rows['pixels-5-rgb']['lead'], $rows['pixels-5-rgb']['tooLate'] || $rows['pixels-5-rgb']['steps'] === []],
        );
        $outdoor = $rows['profile-outdoor'] ?? null;
        self::assertNotNull($outdoor);
        self::assertSame('', $rows['cable-3x15']['by'], 'what is ordered is not to be ordered');
    }

    public function test_weeks_from_far_off_are_waited_for_or_come_in_time(): void
    {
        $plan = Demo::with(
            Demo::run(
                metres: '4.00',
                strip: 'strip-rgbw-24',
                supply: 'supply-24-240',
                controller: 'controller-zigbee-4',
                cable: 'cable-5x15',
            ),
            [
                'kind' => 'ReviseNotes',
                'place' => 'room',
                'text' => "damp\nstart end\n4.00 line\nrun line, profile",
            ],
        );
        $of = static fn(string $today, Arrangement $arrangement): array => array_values(
            array_filter(
                (array) PartsScreen::picture(
                    new JobState($plan, [], Demo::shelf(), [], today: $today, arrangement: $arrangement),
                )->write()['parts'],
                static fn(mixed $p): bool => is_array($p) && $p['key'] === 'profile-outdoor',
            ),
        )[0];
        // Eighteen days on the way; made up on the first day of work.
        $early = $of('2026-11-02', new Arrangement([new Visit('2026-12-07', 0, 2)]));
        self::assertSame(
            ['2026-11-19', false, '2026-12-07'],
            [$early['by'], $early['tooLate'], $early['steps'][0]['day']],
        );
        $late = $of('2026-12-01', new Arrangement([new Visit('2026-12-07', 0, 2)]));
        self::assertSame(
            ['2026-11-19', true, '2026-12-21'],
            [$late['by'], $late['tooLate'], $late['steps'][0]['day']],
            'the 19th of December is a Saturday',
        );
        $waits = BuildScreen::picture(
            new JobState(
                $plan,
                [],
                Demo::shelf(),
                [],
                today: '2026-12-01',
                arrangement: new Arrangement([new Visit('2026-12-07', 0, 2)]),
            ),
        )->write()['waits'];
        self::assertIsArray($waits);
        self::assertSame(['Gasketed profile, 2 m'], array_values(array_filter(array_column($waits, 'part'))));
        self::assertContains(
            'supply-line',
            array_values(array_filter($waits, static fn(array $w): bool => $w['part'] !== ''))[0]['meanwhile'],
        );
    }

    public function test_the_list_of_jobs_says_what_each_waits_for(): void
    {
        $state = new JobState(
            self::plan(),
            [],
            Demo::shelf(),
            [],
            marks: [
                'cable-3x15' => new Mark('ordered', '2026-12-03'),
                'supply-24-240' => new Mark('ordered', '2026-11-27'),
                'hub-zigbee' => new Mark('here'),
                'profile-flat' => new Mark('ordered'),
            ],
            today: '2026-11-30',
            arrangement: new Arrangement([new Visit('2026-11-20', 1, 1), new Visit('2026-12-07', 0, 2)]),
        );
        self::assertSame(
            [
                'Flat profile, 2 m is ordered',
                '24 V supply, 10 A is overdue since Fri 27 Nov',
                '3 x 1.5 mm² flexible comes Thu 3 Dec',
                'next visit Mon 7 Dec, two people',
            ],
            Waiting::for($state),
        );
        self::assertSame([], Waiting::for(new JobState(self::plan(), [], Demo::shelf(), [])));
    }

    public function test_the_sheets_say_what_the_screens_say(): void
    {
        $state = self::work(null, ['isolate-lecture' => new Tick('isolate-lecture', 9, '2026-11-30 08:09')]);
        $days = Papers::days($state);
        $remaining = $state->schedule()->remaining();
        self::assertSame($remaining->timetable->worked(), array_column($days, 'day'));
        self::assertSame(
            count($remaining->timetable->slots),
            array_sum(array_map(static fn(array $d): int => count($d['rows']), $days)),
        );
        self::assertContains('voltage tester', $days[0]['tools']);
        self::assertContains(
            ['name' => '3 x 1.5 mm² flexible', 'state' => 'ordered'],
            array_merge(...array_column($days, 'parts')),
        );
        $van = Papers::van($state);
        $names = array_merge(
            ...array_map(static fn(array $g): array => array_column($g['parts'], 'name'), $van['groups']),
        );
        self::assertCount(count($state->schedule()->parts->parts), $names);
        self::assertContains('Zigbee hub with phone app', $names);
        // A hub is wanted when the first controllers are joined.
        $hub = array_filter(
            $van['groups'],
            static fn(array $g): bool => in_array('Zigbee hub with phone app', array_column($g['parts'], 'name'), true),
        );
        $joins = array_filter(
            $remaining->timetable->slots,
            static fn(Slot $s): bool => $s->step->id === 'join-lecture',
        );
        self::assertSame(
            array_values(array_unique(array_map(static fn(Slot $s): string => $s->day, $joins))),
            array_column($hub, 'day'),
        );
        self::assertNotSame(
            [],
            array_filter($van['offcuts'], static fn(string $o): bool => str_contains($o, 'offcut of')),
        );
    }

    public function test_reports_and_ignores_circular_waits(): void
    {
        $state = self::work(new Arrangement([new Visit('2026-11-30')], false, [], [['dry-cove', 'tidy-lecture']]));
        $circle = array_values(
            array_filter(
                (new ScheduleFindings())->check(JudgedJob::for($state)),
                static fn(Finding $f): bool => $f->code === 'circle',
            ),
        );
        self::assertCount(1, $circle);
        self::assertStringContainsString('“Cove: trial fit”', $circle[0]->detail);
        self::assertNotSame([], BuildScreen::picture($state)->write()['slots']);
        self::assertSame(
            [],
            (new ScheduleFindings())->check(JudgedJob::for(self::work(new Arrangement()))),
            'where nothing was arranged nothing is calculated',
        );
    }
}
