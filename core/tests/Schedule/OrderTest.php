<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Schedule;

use EmberDusk\Parts\PartsList;
use EmberDusk\Plan\JobFile;
use EmberDusk\Plan\Place;
use EmberDusk\Plan\Plan;
use EmberDusk\Rates\Productivity;
use EmberDusk\Rates\Work;
use EmberDusk\Schedule\Arrangement;
use EmberDusk\Schedule\ClientQuestions;
use EmberDusk\Schedule\Move;
use EmberDusk\Schedule\Pin;
use EmberDusk\Schedule\RemainingWork;
use EmberDusk\Schedule\Step;
use EmberDusk\Schedule\Steps;
use EmberDusk\Schedule\Tick;
use EmberDusk\Schedule\Visit;
use EmberDusk\Tests\Demo;
use EmberDusk\Values\Refusal;
use PHPUnit\Framework\TestCase;

/** What must be true before a step can be done, in the order of the trade (common practice, no source). */
final class OrderTest extends TestCase
{
    /** By kind of step: kinds of the same run, or of the same place, that are over before it. */
    private const OF_RUN = [
        'settings' => ['profile', 'stick', 'seal', 'joints'],
        'cables' => ['loose'],
        'supply' => ['loose'],
        'loose' => ['profile', 'stick', 'joints'],
        'joints' => ['second'],
        'second' => ['seal', 'diffuser'],
        'seal' => ['diffuser'],
    ];

    private const OF_PLACE = [
        'isolate' => ['dry', 'out', 'trim', 'trace', 'supply', 'cables', 'loose', 'joints', 'fixtures', 'tidy'],
        'out' => ['supply', 'cables', 'fixtures', 'tidy'],
        'second' => ['join', 'tidy'],
        'supply' => ['tidy'],
        'cables' => ['tidy'],
        'mains' => ['tidy'],
        'join' => ['tidy'],
    ];

    /** Kit beside the runs, and the change that brings it. */
    private const BESIDE = [
        'remote-zigbee-4' => 'SetItem',
        'panel-zigbee' => 'SetItem',
        'assistant-radio' => 'SetItem',
        'phone-new' => 'SetItem',
        'plug-2-open' => 'SetItem',
        'fixture-reading-24' => 'SetFixture',
        'fixture-panel-010' => 'SetFixture',
    ];

    /** On 200 seeded jobs of runs, fixtures, remotes, panels, hubs and lights that go, with some steps ticked at random. */
    public function test_seeded_jobs_keep_the_order_of_the_trade(): void
    {
        for ($seed = 1; $seed <= 200; $seed++) {
            $plan = self::job($seed);
            $parts = PartsList::for($plan, Demo::shelf());
            $steps = array_column(Steps::for($plan, $parts, new Productivity([])), null, 'id');
            $ticks = [];
            foreach (array_keys($steps) as $id) {
                if (mt_rand(0, 3) === 0) {
                    $ticks[$id] = new Tick($id, 5, '2026-11-30 07:00');
                }
            }
            foreach ([[], $ticks] as $ticked) {
                $work = RemainingWork::for(
                    steps: array_values($steps),
                    arrangement: new Arrangement([new Visit('2026-11-30', 0, 2)]),
                    ticks: $ticked,
                    arrivals: ['strip-tunable-24' => '2026-12-16'],
                    now: '2026-11-30',
                );
                self::keeps($plan, $work, "seed {$seed}" . ($ticked === [] ? '' : ', ticked'));
            }
        }
    }

    private static function keeps(Plan $plan, RemainingWork $work, string $said): void
    {
        $begins = $work->timetable->begins;
        $over = static fn(Step $s): int => $begins[$s->id] + $s->minutes;
        foreach ($work->left as $first) {
            foreach ($work->left as $then) {
                $same =
                    substr($first->id, strlen($first->kind->value)) === substr($then->id, strlen($then->kind->value));
                $kinds = $same ? self::OF_RUN[$first->kind->value] ?? [] : [];
                if ($first->place === $then->place) {
                    array_push($kinds, ...self::OF_PLACE[$first->kind->value] ?? []);
                }
                if (in_array($then->kind->value, $kinds, true)) {
                    self::assertGreaterThanOrEqual(
                        $over($first),
                        $begins[$then->id],
                        "{$said}: {$first->id}, {$then->id}",
                    );
                }
            }
            if ($first->kind === Work::Item) {
                $kind = $plan->kit[$plan->items[substr($first->id, 5)]->kit]->kind();
                $panel = $kind === 'panel';
                foreach ($work->left as $join) {
                    if ($join->kind === Work::Join && $kind !== 'plug') {
                        self::assertGreaterThanOrEqual(
                            $over($panel ? $join : $first),
                            $begins[$panel ? $first->id : $join->id],
                            "{$said}: {$first->id}, {$join->id}",
                        );
                    }
                }
            }
            if ($first->kind === Work::Out) {
                self::assertGreaterThanOrEqual(
                    '2026-12-16',
                    substr($work->days->starts($begins[$first->id]), 0, 10),
                    $said,
                );
            }
            self::assertNotSame(Work::Ask, $first->kind);
        }
    }

    /** Cables are not laid, their test is ticked by mistake: boxes stay open until they are. */
    public function test_a_tick_does_not_free_what_the_step_needed(): void
    {
        $plan = JobFile::read(Demo::file('observatory'));
        $steps = array_column(
            Steps::for($plan, PartsList::for($plan, Demo::shelf()), new Productivity([])),
            null,
            'id',
        );
        $ticked = array_filter(
            array_keys($steps),
            static fn(string $id): bool => preg_match('/^(tidy|cables)/', $id) === 0,
        );
        $work = RemainingWork::for(
            steps: array_values($steps),
            arrangement: new Arrangement([new Visit('2026-11-30', 0, 1)]),
            ticks: array_combine(
                $ticked,
                array_map(static fn(string $id): Tick => new Tick($id, 5, '2026-11-30 07:00'), $ticked),
            ),
            arrivals: [],
            now: '2026-11-30',
        );
        self::assertContains('cables-cove', $work->left['tidy-lecture']->after);
    }

    public function test_the_client_is_asked_before_the_first_day(): void
    {
        $plan = JobFile::read(Demo::file('observatory'));
        $work = RemainingWork::for(
            steps: Steps::for($plan, PartsList::for($plan, Demo::shelf()), new Productivity([])),
            arrangement: new Arrangement([new Visit('2026-12-07', 0, 1)]),
            ticks: [],
            arrivals: [],
            now: '2026-11-30',
        );
        $asked = array_key_first($work->ahead);
        self::assertSame(['ask'], array_values(array_map(static fn(Step $s): string => $s->kind->value, $work->ahead)));
        self::assertArrayNotHasKey((string) $asked, $work->timetable->begins);
        $message = (new ClientQuestions($plan))->message('2026-12-07');
        self::assertStringStartsWith("{$plan->name}: we come on Mon 7 Dec. ", $message);
        self::assertStringContainsString('- which phone the client will use', $message);
        self::assertStringContainsString('Please do not send a password', $message);
        self::assertSame('', (new ClientQuestions(new Plan('Bare', '')))->message('2026-12-07'));
        $this->expectException(Refusal::class);
        $this->expectExceptionMessage('It is done before the first day');
        Move::for($work, new Pin((string) $asked, '2026-12-07', 0, 0));
    }

    /** A place in which only a remote lies has nothing to isolate; one with a dimmer for the wall has. */
    public function test_nothing_is_isolated_where_no_wiring_is_touched(): void
    {
        $places = ['hall' => new Place('hall', 'Hall', ''), 'den' => new Place('den', 'Den', '')];
        $plan = new Plan('Test', '', places: $places);
        $plan = Demo::with($plan, ['kind' => 'SetItem', 'kit' => 'remote-zigbee-4', 'place' => 'hall', 'count' => 1]);
        $kinds = static fn(Plan $of): array => array_map(
            static fn(Step $s): string => "{$s->kind->value} {$s->place}",
            Steps::for($of, PartsList::for($of, Demo::shelf()), new Productivity([])),
        );
        self::assertNotContains('isolate Hall', $kinds($plan));
        self::assertContains('item Hall', $kinds($plan));
    }

    private static function job(int $seed): Plan
    {
        mt_srand($seed);
        $plan = new Plan("Job {$seed}", '');
        for ($n = 0; $n < mt_rand(1, 3); $n++) {
            $plan = $plan->with(places: $plan->places + ["p{$n}" => new Place("p{$n}", "Room {$n}", '')]);
            $word = "run{$n}";
            $plan = Demo::with($plan, [
                'kind' => 'ReviseNotes',
                'place' => "p{$n}",
                'text' => sprintf(
                    "%s\nstart end\n%.2f %s\nrun %s, %s%s",
                    ['dry', 'damp'][mt_rand(0, 1)],
                    mt_rand(100, 900) / 100,
                    $word,
                    $word,
                    ['profile', 'bare', 'moving'][mt_rand(0, 2)],
                    mt_rand(0, 1) === 0 ? '' : "\nnow 3 halogen spots, take out",
                ),
            ]);
            foreach (['strip-tunable-24', 'supply-24-240', 'controller-zigbee-2', 'cable-3x15'] as $kit) {
                $plan = Demo::with($plan, [
                    'kind' => 'ChooseKit',
                    'run' => (string) array_key_last($plan->runs),
                    'kit' => $kit,
                ]);
            }
        }
        foreach (self::BESIDE as $kit => $kind) {
            if (mt_rand(0, 1) === 0) {
                $place = (string) array_rand($plan->places);
                $plan = Demo::with($plan, ['kind' => $kind, 'kit' => $kit, 'place' => $place, 'count' => 1]);
            }
        }

        return $plan;
    }
}
