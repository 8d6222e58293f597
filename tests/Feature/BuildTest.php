<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\TestCase;

final class BuildTest extends TestCase
{
    use ObservatoryJob;
    use RefreshDatabase;

    public function test_a_step_is_ticked_once_and_taken_back(): void
    {
        $this->get("/jobs/{$this->job->id}/build")->assertOk();
        $tick = fn (bool $done, int $minutes = 0): array => $this->answer($this->postJson("/jobs/{$this->job->id}/build/tick", ['step' => 'isolate-lecture', 'done' => $done, 'minutes' => $minutes]))['desk'];
        $tick(true, 12);
        $desk = $tick(true, 14);
        self::assertSame(1, $this->job->ticks()->count());
        self::assertSame([true, 14], [$desk['build']['slots'][0]['done'], $desk['build']['slots'][0]['taken']]);
        self::assertFalse($tick(false)['build']['slots'][0]['done']);
    }

    public function test_two_people_need_fewer_days_and_the_calendar_is_given_out(): void
    {
        $this->postJson("/jobs/{$this->job->id}/change", ['base' => 1, 'stage' => 'wire', 'change' => ['kind' => 'ChooseKit', 'run' => 'bench', 'kit' => 'strip-single-24']])->assertOk();
        $visit = fn (int $people): array => $this->answer($this->postJson("/jobs/{$this->job->id}/build/visit", ['people' => $people, 'start' => '2026-11-30']))['desk']['build'];
        $end = static fn (array $build): string => max(['', ...array_map(static fn (array $s): string => $s['day'].sprintf('%04d', $s['to']), $build['slots'])]);
        self::assertLessThan($end($visit(1)), $end($visit(2)));
        $this->get("/jobs/{$this->job->id}/build.ics")->assertOk()->assertHeader('Content-Type', 'text/calendar; charset=utf-8');
        $this->postJson("/jobs/{$this->job->id}/build/visit", ['people' => 3, 'start' => '2026-11-30'])->assertStatus(422);
        $this->postJson("/jobs/{$this->job->id}/build/visit", ['people' => 1, 'start' => 'soon'])->assertStatus(422);
    }
}
