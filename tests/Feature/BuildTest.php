<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\History\Revisions;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\Group;
use Tests\TestCase;

final class BuildTest extends TestCase
{
    use ObservatoryJob;
    use RefreshDatabase;

    /**
     * @param  array<string, mixed>  $body
     * @return array<string, mixed> the desk's build picture
     */
    private function build(string $what, array $body): array
    {
        return $this->answer($this->postJson("/jobs/{$this->job->id}/build/{$what}", $body))['desk']['build'];
    }

    /** @return array<string, mixed> */
    private static function tick(string $step, bool $done, int $minutes, string $at, ?string $uuid = null): array
    {
        return [
            'uuid' => $uuid ?? (string) Str::uuid(),
            'step' => $step,
            'done' => $done,
            'minutes' => $minutes,
            'at' => $at,
        ];
    }

    /**
     * @param  array<string, mixed>  $build
     * @return array<string, mixed>
     */
    private static function step(array $build, string $id): array
    {
        return array_values(array_filter($build['steps'], static fn(array $s): bool => $s['id'] === $id))[0];
    }

    public function test_ticks_that_come_late_twice_or_out_of_order_end_in_one_state(): void
    {
        $this->get("/jobs/{$this->job->id}/build")->assertOk();
        $this->travelTo('2026-11-25 15:00:00');
        $done = self::tick('isolate-lecture', true, 12, '2026-11-25T09:00:00.000Z');
        $longer = self::tick('isolate-lecture', true, 14, '2026-11-25T09:05:00.000Z');
        $build = $this->build('tick', $longer);
        self::assertSame(
            [true, 14],
            [self::step($build, 'isolate-lecture')['done'], self::step($build, 'isolate-lecture')['taken']],
        );
        self::assertSame(
            [],
            array_filter($build['slots'], static fn(array $s): bool => $s['id'] === 'isolate-lecture'),
            'what is done is not planned any more',
        );
        // The earlier press arrives later, and the later one once more: nothing changes.
        $this->build('tick', $done);
        $build = $this->build('tick', $longer);
        self::assertSame(14, self::step($build, 'isolate-lecture')['taken']);
        self::assertSame(2, $this->job->ticks()->count());
        self::assertFalse(
            self::step(
                $this->build('tick', self::tick('isolate-lecture', false, 14, '2026-11-25T09:06:00.000Z')),
                'isolate-lecture',
            )['done'],
        );
        // A phone whose clock is a year ahead does not win for ever.
        $this->build('tick', self::tick('isolate-lecture', true, 20, '2027-11-25T09:00:00.000Z'));
        $this->travelTo('2026-11-25 15:10:00');
        self::assertFalse(
            self::step(
                $this->build('tick', self::tick('isolate-lecture', false, 20, '2026-11-25T15:09:00.000Z')),
                'isolate-lecture',
            )['done'],
        );
        $this->postJson(
            "/jobs/{$this->job->id}/build/tick",
            self::tick('seal-nothing', true, 5, '2026-11-25T09:00:00.000Z'),
        )
            ->assertStatus(422)
            ->assertJsonFragment(['pointer' => '/step']);
        $this->postJson(
            "/jobs/{$this->job->id}/build/tick",
            self::tick('isolate-lecture', true, 0, '2026-11-25T09:00:00.000Z'),
        )->assertStatus(422);
    }

    /** A press that waited for a signal after a later press of another person: the answer has the name and the time. */
    public function test_a_tick_that_another_person_has_overtaken_is_answered_with_the_name(): void
    {
        $this->travelTo('2026-11-25 15:00:00');
        $first = self::tick('isolate-lecture', true, 12, '2026-11-25T09:00:00.000Z');
        $own = self::tick('isolate-lecture', false, 12, '2026-11-25T08:50:00.000Z');
        $this->build('tick', $first);
        $this->build('tick', $own);
        $other = $this->user($this->job->crew, 'two@firm.example');
        $other->forceFill(['name' => 'Night installer'])->save();
        $this->actingAs($other);
        $late = self::tick('isolate-lecture', false, 12, '2026-11-25T08:55:00.000Z');
        $refused = $this->postJson("/jobs/{$this->job->id}/build/tick", $late)->assertStatus(422);
        self::assertStringContainsString(
            'One pressed “done” on 25 November, 04:00, after your “not done” of 25 November, 03:55. It stays “done”.',
            (string) $refused->json('message'),
        );
        // It is kept, and a press with the same state is no conflict.
        self::assertSame(3, $this->job->ticks()->count());
        $same = self::tick('isolate-lecture', true, 12, '2026-11-25T08:56:00.000Z');
        self::assertTrue(self::step($this->build('tick', $same), 'isolate-lecture')['done']);
        $newer = self::tick('isolate-lecture', false, 12, '2026-11-25T09:10:00.000Z');
        self::assertFalse(self::step($this->build('tick', $newer), 'isolate-lecture')['done']);
    }

    public function test_a_tick_answers_with_the_steps_that_it_changed(): void
    {
        $this->travelTo('2026-11-25 15:00:00');
        $tick = self::tick('isolate-lecture', true, 12, '2026-11-25T09:00:00.000Z');
        $all = $this->build('tick', $tick);
        $known = array_map(static fn(array $s): string => "{$s['id']}:{$s['hash']}", $all['steps']);
        $press = self::tick('isolate-lecture', false, 12, '2026-11-25T09:10:00.000Z');
        $build = $this->build('tick', ['known' => implode(' ', $known)] + $press);
        self::assertSame(['isolate-lecture'], array_column($build['steps'], 'id'));
        self::assertSame(array_column($all['steps'], 'id'), $build['order'], 'the page puts them together again');
        self::assertFalse($build['steps'][0]['done']);
    }

    #[Group('clock')]
    public function test_the_crews_own_minutes_better_the_next_jobs_estimate(): void
    {
        $before = self::step(
            $this->answer($this->getJson("/jobs/{$this->job->id}/state?stage=build"))['desk']['build'],
            'dry-cove',
        );
        self::assertSame(40, $before['minutes'], '18 m at two minutes, told in fives');
        $other = (new Revisions())->begin(
            $this->job->crew,
            $this->user($this->job->crew),
            $this->job->newest()->plan(),
            'Another',
        );
        foreach ([48, 60, 75] as $n => $taken) {
            $other->ticks()->create(
                self::tick("dry-r{$n}", true, $taken, '2026-11-20T09:00:00.000Z') + [
                    'kind' => 'dry',
                    'table_minutes' => 30,
                ],
            );
        }
        $after = self::step(
            $this->answer($this->getJson("/jobs/{$this->job->id}/state?stage=build"))['desk']['build'],
            'dry-cove',
        );
        // Ratios 1.6, 2.0, 2.5: their geometric mean is 2, so 18 m at two minutes become 72, in fives 75.
        self::assertSame(75, $after['minutes']);
        // ln spread 0.22314, t(2) 1.886, times root of 1 + 1/3: 0.48595; 36 x 2 / e^0.48595 and 36 x 2 x e^0.48595.
        self::assertSame(['44', '118'], $after['work']['range']);
    }

    public function test_visits_are_kept_and_two_people_need_fewer_days(): void
    {
        $this->travelTo('2026-11-27 10:00:00');
        $visits = fn(array ...$visits): array => $this->build('visits', ['visits' => $visits, 'weekends' => false]);
        $one = $visits(['from' => '2026-11-30', 'days' => 0, 'people' => 1]);
        $two = $visits(['from' => '2026-11-30', 'days' => 0, 'people' => 2]);
        self::assertLessThan($one['end'], $two['end']);
        $split = $visits(
            ['from' => '2026-12-07', 'days' => 0, 'people' => 2],
            ['from' => '2026-11-30', 'days' => 1, 'people' => 1],
        );
        self::assertSame(['2026-11-30', '2026-12-07'], array_slice(array_column($split['days'], 'day'), 0, 2));
        self::assertSame([0, 1], array_slice(array_column($split['days'], 'visit'), 0, 2));
        $short = $this->answer(
            $this->postJson("/jobs/{$this->job->id}/build/visits", [
                'visits' => [['from' => '2026-11-30', 'days' => 1, 'people' => 1]],
                'weekends' => false,
            ]),
        );
        self::assertContains('visits', array_column($short['desk']['findings'], 'code'));
        $this->get("/jobs/{$this->job->id}/build.ics")
            ->assertOk()
            ->assertHeader('Content-Type', 'text/calendar; charset=utf-8');
        foreach (
            [
                ['from' => '2026-11-30', 'days' => 0, 'people' => 3],
                ['from' => 'soon', 'days' => 0, 'people' => 1],
                ['from' => '2026-11-30', 'days' => -1, 'people' => 1],
            ]
            as $bad
        ) {
            $this->postJson("/jobs/{$this->job->id}/build/visits", [
                'visits' => [$bad],
                'weekends' => false,
            ])->assertStatus(422);
        }
        $twice = ['from' => '2026-11-30', 'days' => 1, 'people' => 1];
        $this->postJson("/jobs/{$this->job->id}/build/visits", ['visits' => [$twice, $twice], 'weekends' => false])
            ->assertStatus(422)
            ->assertJsonFragment([
                'message' => 'Two visits start on 2026-11-30. Give one of them another day, or remove it.',
            ]);
    }

    public function test_a_move_says_what_it_costs_and_which_rule_it_breaks(): void
    {
        $this->travelTo('2026-11-27 07:00:00');
        $this->build('visits', [
            'visits' => [['from' => '2026-11-30', 'days' => 0, 'people' => 1]],
            'weekends' => false,
        ]);
        $move = fn(array $more): \Illuminate\Testing\TestResponse => $this->postJson(
            "/jobs/{$this->job->id}/build/move",
            ['step' => 'second-cove', 'day' => '2026-11-30', 'from' => 0, 'person' => 0, 'keep' => false, ...$more],
        );
        self::assertStringContainsString('comes before it', implode(' ', $move([])->assertOk()->json('broken')));
        self::assertStringContainsString(
            'Nobody works on Sat 5 Dec',
            implode(' ', $move(['day' => '2026-12-05'])->json('broken')),
        );
        $move(['keep' => true])
            ->assertStatus(422)
            ->assertJsonFragment(['pointer' => '/step']);
        $late = $move(['day' => '2026-12-03', 'from' => 60]);
        self::assertSame([], $late->json('broken'));
        self::assertStringStartsWith('Thu 3 Dec', $late->json('costs.0.after'));
        $build = $this->answer($move(['day' => '2026-12-03', 'from' => 60, 'keep' => true]))['desk']['build'];
        self::assertSame(
            [['step' => 'second-cove', 'day' => '2026-12-03', 'from' => 60, 'person' => 0]],
            $build['pins'],
        );
        $slot = array_values(array_filter($build['slots'], static fn(array $s): bool => $s['id'] === 'second-cove'))[0];
        self::assertSame(['2026-12-03', 60], [$slot['day'], $slot['from']]);
        self::assertSame([], $this->build('move', ['step' => 'second-cove', 'keep' => true, 'back' => true])['pins']);
        $move(['step' => 'nothing'])->assertStatus(422);
    }

    public function test_steps_in_a_circle_are_refused_by_name(): void
    {
        $wait = ['step' => 'dry-cove', 'after' => 'tidy-lecture', 'on' => true];
        $said = $this->postJson("/jobs/{$this->job->id}/build/wait", $wait)
            ->assertStatus(422)
            ->json('message');
        self::assertStringContainsString('in a circle: ', $said);
        self::assertStringContainsString('“Cove: trial fit”', $said);
        self::assertNull($this->job->arrangement()->first());
        self::assertSame(
            [['step' => 'dry-cove', 'after' => 'trace-lecture']],
            $this->build('wait', ['step' => 'dry-cove', 'after' => 'trace-lecture', 'on' => true])['added'],
        );
        self::assertSame(
            [],
            $this->build('wait', ['step' => 'dry-cove', 'after' => 'trace-lecture', 'on' => false])['added'],
        );
        $this->postJson("/jobs/{$this->job->id}/build/wait", [
            'step' => 'dry-cove',
            'after' => 'dry-cove',
            'on' => true,
        ])->assertStatus(422);
    }

    #[Group('clock')]
    public function test_day_sheets_and_the_packing_list_are_given_out(): void
    {
        $days = (string) $this->get("/jobs/{$this->job->id}/day-sheets")
            ->assertOk()
            ->assertSee('Cove: trial fit')
            ->assertSee('licensed person')
            ->getContent();
        self::assertStringContainsString('voltage tester', $days);
        $this->get("/jobs/{$this->job->id}/van")
            ->assertOk()
            ->assertSee('Flat profile, 2 m')
            ->assertSee('10 lengths');
        foreach (['day-sheets', 'van'] as $sheet) {
            self::assertStringStartsWith(
                '%PDF-',
                (string) $this->get("/jobs/{$this->job->id}/{$sheet}.pdf")
                    ->assertOk()
                    ->assertHeader('Content-Type', 'application/pdf')
                    ->getContent(),
            );
        }
    }
}
