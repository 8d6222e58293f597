<?php

declare(strict_types=1);

namespace Tests\Feature;

use EmberDusk\Tests\Demo;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Carbon;
use Tests\TestCase;

/** Runs after a loss or replacement, and panels that are on their walls already. */
final class JoinRecoveryTest extends TestCase
{
    use ObservatoryJob;
    use RefreshDatabase;

    protected function jobFile(): string
    {
        return Demo::shipped('observatory');
    }

    /**
     * @param  array<string, mixed>  $more
     * @return array<string, mixed> the run
     */
    private function begin(array $more): array
    {
        return $this->answer($this->postJson("/jobs/{$this->job->id}/join", ['speed' => 1] + $more), 'joinAnswer');
    }

    /** @return array<string, mixed> data before a run */
    private function start(): array
    {
        $start = $this->get("/jobs/{$this->job->id}/join")
            ->assertOk()
            ->inertiaProps('start');
        self::assertIsArray($start);

        return $start;
    }

    /**
     * @param  array<string, mixed>  $run
     * @return list<string> devices in the lanes of a run
     */
    private static function lanes(array $run): array
    {
        return array_column($run['picture']['lanes'], 'id');
    }

    public function test_a_replaced_controller_is_joined_again_on_site_alone(): void
    {
        $losses = array_column($this->start()['losses'], 'title', 'key');
        self::assertSame(
            ['phone', 'hub h1', 'controller c1'],
            array_values(array_intersect(array_keys($losses), ['phone', 'hub h1', 'controller c1'])),
        );
        $all = $this->begin([]);
        $one = $this->begin(['site' => true, 'recovery' => 'controller c1']);
        self::assertSame(['', $losses['controller c1']], [$all['event'], $one['event']]);
        self::assertContains('c1', self::lanes($one));
        self::assertNotContains('c2', self::lanes($one));
        self::assertLessThan($all['picture']['tasks'], $one['picture']['tasks']);
        // The same after a reload, and on another day.
        Carbon::setTestNow('2027-03-01 09:00:00');
        $later = $this->answer($this->getJson("/jobs/{$this->job->id}/join/{$one['run']}"), 'joinAnswer');
        self::assertSame([$one['event'], self::lanes($one)], [$later['event'], self::lanes($later)]);
    }

    /** Two screens, one number: the minutes that Build plans for joining. */
    public function test_join_shows_the_minutes_that_build_plans(): void
    {
        $build = $this->answer($this->getJson("/jobs/{$this->job->id}/state?stage=build"))['desk']['build'];
        $join = array_filter($build['steps'], static fn(array $s): bool => str_starts_with($s['id'], 'join-'));
        self::assertNotSame([], $join);
        self::assertSame(array_sum(array_column($join, 'minutes')), $this->start()['planned']);
    }

    public function test_an_unknown_event_is_refused_at_its_field(): void
    {
        $this->postJson("/jobs/{$this->job->id}/join", ['speed' => 1, 'recovery' => 'controller c99'])
            ->assertUnprocessable()
            ->assertJsonPath('pointer', '/recovery');
        self::assertSame(0, $this->job->joinRuns()->count());
    }

    /** The ticked step of Build says that a panel is on its wall; the run then brings each controller to it. */
    public function test_a_panel_whose_step_is_ticked_is_taken_as_fixed(): void
    {
        self::assertSame(['w1' => false], array_column($this->start()['panels'], 'fixed', 'id'));
        $this->postJson("/jobs/{$this->job->id}/build/tick", [
            'uuid' => '9f0c6a52-5e0e-4a57-9d3f-1c1d3f6d7a10',
            'step' => 'item-i3',
            'done' => true,
            'minutes' => 10,
            'at' => '2026-11-25T09:00:00.000Z',
        ])->assertOk();
        self::assertSame(['w1' => true], array_column($this->start()['panels'], 'fixed', 'id'));
        $this->begin([]);
        $this->begin(['fixed' => ['w1']]);
        self::assertSame(
            [[], ['w1']],
            array_map(static fn($run): array => $run->fixed ?? [], $this->job->joinRuns()->orderBy('id')->get()->all()),
        );
    }
}
