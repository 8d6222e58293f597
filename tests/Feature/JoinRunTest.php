<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use App\Models\JoinEvent;
use App\Models\JoinRun;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Carbon;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** The live run over HTTP; the wall clock is set, nothing sleeps. */
final class JoinRunTest extends TestCase
{
    use RefreshDatabase;

    private Job $job;

    private int $run;

    protected function setUp(): void
    {
        parent::setUp();
        Carbon::setTestNow('2026-11-25 09:00:00');
        $this->job = $this->job($this->crew());
        $this->actingAs($this->user($this->job->crew));
        $this->run = $this->begin();
    }

    /** @param  array<string, mixed>  $more */
    private function begin(array $more = []): int
    {
        return $this->answer(
            $this->postJson("/jobs/{$this->job->id}/join", ['speed' => 1] + $more),
            'joinAnswer',
        )['run'];
    }

    private function pass(float $seconds): void
    {
        Carbon::setTestNow(Carbon::now()->addMicroseconds((int) round($seconds * 1e6)));
    }

    /**
     * @param  array<string, mixed>  $more
     * @return TestResponse<Response>
     */
    private function act(string $kind, string $text = '', string $device = 'c1', array $more = []): TestResponse
    {
        return $this->postJson(
            "/jobs/{$this->job->id}/join/{$this->run}",
            ['kind' => $kind, 'device' => $device, 'text' => $text] + $more,
        );
    }

    /** @return array<string, mixed> */
    private function look(): array
    {
        return $this->answer($this->getJson("/jobs/{$this->job->id}/join/{$this->run}"), 'joinAnswer')['picture'];
    }

    /** Does what the step says, and passes the time that hands take. */
    private function work(): string
    {
        $key = $this->look()['step']['key'];
        $this->act('work', $key)->assertOk();
        $this->pass(4);

        return $key;
    }

    /** What the step asks for is done and seen, whatever it is. */
    private function along(string $until): void
    {
        for ($n = 0; $n < 60; $n++) {
            $step = $this->look()['step'];
            if ($step['key'] === $until || $step['look'] === 'end') {
                return;
            }
            match ($step['look']) {
                'hand' => $this->work(),
                'list' => $this->pass(10),
                'name' => $this->act('named', 'Cove', 'c1', ['room' => 'Hall'])->assertOk(),
                default => $this->seen($step, 'expected'),
            };
        }
    }

    /** @param  array<string, mixed>  $step */
    private function seen(array $step, string $seen): void
    {
        if ($step['does']) {
            $this->work();
        }
        $this->pass(8);
        $this->act('saw', "{$step['key']}|{$seen}", $step['device'])->assertOk();
    }

    public function test_a_run_goes_from_power_to_a_light_that_every_control_works(): void
    {
        self::assertSame('join c1 h1/on c1', $this->work());
        self::assertSame('join c1 h1/search h1', $this->work());
        self::assertSame('join c1 h1/reset', $this->work());
        $after = $this->look();
        self::assertSame(['c1', true], [$after['devices'][0]['id'], $after['devices'][0]['powered']]);
        self::assertNotNull($after['devices'][0]['signal'], 'its load flashes');
        $this->act('saw', 'join c1 h1/reset|expected')->assertOk();
        $this->pass(9);
        $this->act('saw', 'join c1 h1/joined|expected')->assertOk();
        $this->pass(8);
        $found = $this->look();
        self::assertSame([['name' => 'Light 1', 'as' => '']], $found['apps'][0]['lines']);
        self::assertSame('Switch “Light 1” in the app: does the strip of cove answer?', $found['step']['title']);
        $this->along('join c1 h1/name');
        foreach ([['', 'Hall'], [str_repeat('x', 30), 'Hall']] as [$name, $room]) {
            $this->act('named', $name, 'c1', ['room' => $room])
                ->assertStatus(422)
                ->assertJsonPath('pointer', '/name');
        }
        $this->along('');
        $done = $this->look();
        self::assertTrue($done['done']);
        self::assertSame(['Pressed on the stand-ins: 1 of 1 work.'], $done['measured']);
        self::assertSame([1, 1], [$done['joined'], $done['lights']]);
        self::assertSame('Cove', $this->job->refresh()->newest()->plan()->lights['c1']->name);
        $slate = $this->answer($this->getJson("/jobs/{$this->job->id}/state?stage=join"))['desk']['slate'];
        self::assertContains('C1 is not joined yet', array_column($slate, 'title'), 'a rehearsal joins nothing');
    }

    public function test_what_is_missed_is_done_again_and_then_looked_into(): void
    {
        $this->along('join c1 h1/reset');
        $this->seen($this->look()['step'], 'nothing');
        self::assertStringContainsString('Nothing seen', $this->look()['step']['alert']);
        $this->along('join c1 h1/reset');
        $this->seen($this->look()['step'], 'nothing');
        $asked = $this->look();
        self::assertSame('mend', $asked['step']['look']);
        self::assertNotSame([], $asked['causes']);
        self::assertSame(2, $asked['missed']);
        $this->act('mended', "{$asked['step']['kind']}|no", $asked['step']['device'])->assertOk();
        self::assertNotSame($asked['step']['kind'], $this->look()['step']['kind']);
        $this->act('mended', 'flat|yes', 'c1')->assertStatus(422);
    }

    public function test_a_run_on_site_goes_by_what_is_said_and_joins(): void
    {
        $this->run = $this->begin(['site' => true, 'hand' => 'Client’s phone']);
        self::assertSame([], $this->look()['devices']);
        for ($n = 0; $n < 60; $n++) {
            $step = $this->look()['step'];
            if ($step['look'] === 'list') {
                $this->act('found', ' ', $step['device'])->assertStatus(422)->assertJsonPath('pointer', '/name');
                $this->act('found', 'Lamp 7', $step['device'])->assertOk();
            } elseif ($step['look'] === 'end') {
                break;
            } else {
                $this->along($step['look'] === 'hand' || $step['look'] === 'name' ? '' : 'none');
            }
        }
        self::assertTrue($this->look()['done']);
        $slate = $this->answer($this->getJson("/jobs/{$this->job->id}/state?stage=join"))['desk']['slate'];
        self::assertNotContains('C1 is not joined yet', array_column($slate, 'title'));
        $this->postJson("/jobs/{$this->job->id}/join/{$this->run}/skip")->assertStatus(422);
        $this->postJson("/jobs/{$this->job->id}/join/{$this->run}/pace", ['speed' => 20])->assertStatus(422);
    }

    public function test_what_is_sent_twice_counts_once(): void
    {
        $this->act('power-on', '', 'c1', ['client' => 'press-1'])->assertOk();
        $this->act('power-on', '', 'c1', ['client' => 'press-1'])->assertOk();
        self::assertSame(1, JoinEvent::query()->where('kind', 'power-on')->count());
        self::assertSame($this->app['auth']->id(), JoinEvent::query()->where('client', 'press-1')->value('user_id'));
    }

    public function test_a_hidden_fault_is_drawn_by_the_runs_seed_and_told_at_the_end_only(): void
    {
        $this->run = $this->begin(['hidden' => 1]);
        $flaws = JoinRun::query()->find($this->run)?->flaws;
        self::assertMatchesRegularExpression('/^[a-z-]+@[a-z0-9]+$/', (string) $flaws);
        $body = (string) $this->getJson("/jobs/{$this->job->id}/join/{$this->run}")->getContent();
        self::assertStringNotContainsString('"flaws"', $body);
        self::assertSame(
            1,
            $this->answer($this->getJson("/jobs/{$this->job->id}/join/{$this->run}"), 'joinAnswer')['hidden'],
        );
    }

    public function test_answers_out_of_turn_and_things_unknown_are_refused_by_name(): void
    {
        $this->act('saw', 'join c1 h1/joined|expected')->assertStatus(422)->assertJsonPath('pointer', '/kind');
        $this->act('power-on', '', 'c9')->assertStatus(422)->assertJsonPath('pointer', '/device');
        $this->act('dance')->assertStatus(422)->assertJsonPath('pointer', '/kind');
        $this->act('work', 'join c1 h1/joined')->assertStatus(422);
        $this->postJson("/jobs/{$this->job->id}/join/{$this->run}/pace", ['speed' => 0])->assertOk();
        $this->act('power-on')->assertStatus(422)->assertJsonPath('message', 'The run is paused. Go on first.');
    }

    public function test_waiting_is_skipped_to_the_next_thing_that_shows(): void
    {
        $this->along('join c1 h1/joined');
        $before = $this->look();
        self::assertNotNull($before['nextAt']);
        $skipped = $this->answer($this->postJson("/jobs/{$this->job->id}/join/{$this->run}/skip"), 'joinAnswer')[
            'picture'
        ];
        self::assertEqualsWithDelta($before['nextAt'] + 0.05, $skipped['now'], 0.001);
    }

    /** A run that was made before devices of all families could be joined is there to be read. */
    public function test_a_run_of_an_earlier_version_can_be_read_and_not_gone_on_with(): void
    {
        JoinRun::query()
            ->whereKey($this->run)
            ->update(['form' => 1]);
        self::assertNull(
            $this->answer($this->getJson("/jobs/{$this->job->id}/join/{$this->run}"), 'joinAnswer')['picture'],
        );
        $this->act('power-on')->assertStatus(422);
        $this->get("/jobs/{$this->job->id}/handover")->assertOk();
    }
}
