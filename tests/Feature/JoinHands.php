<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use Illuminate\Support\Carbon;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;

/** A crew with a run begun, and its hands: what they do, how time passes, what they see. */
trait JoinHands
{
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
        return $this->postJson("/jobs/{$this->job->id}/join/{$this->run}", [
            'acts' => [['kind' => $kind, 'device' => $device, 'text' => $text] + $more],
        ])->assertOk();
    }

    /**
     * It is not taken, and why.
     *
     * @param  array<string, mixed>  $more
     * @return array{pointer: string, message: string}
     */
    private function refused(string $kind, string $text = '', string $device = 'c1', array $more = []): array
    {
        $refused = $this->answer($this->act($kind, $text, $device, $more), 'joinAnswer')['refused'];
        self::assertCount(1, $refused);

        return $refused[0];
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
        $this->act('work', $key);
        $this->pass(4);

        return $key;
    }

    /** @return array<string, mixed> the steps that are sent ahead */
    private function ahead(): array
    {
        return $this->answer($this->getJson("/jobs/{$this->job->id}/join/{$this->run}/ahead"), 'joinForeseen')['ahead'];
    }

    /**
     * Gives the first of these answers that a step offers, as it was sent.
     *
     * @param  array<string, mixed>  $step
     * @param  non-empty-list<string>  $keys
     * @return string its key
     */
    private function given(array $step, array $keys): string
    {
        $offered = array_column($step['answers'], null, 'key');
        foreach ($keys as $key) {
            if (isset($offered[$key])) {
                ['kind' => $kind, 'text' => $text, 'device' => $device, 'typed' => $typed] = $offered[$key];
                $this->act($kind, $typed ? 'Cove' : $text, $device, $kind === 'named' ? ['room' => 'Hall'] : []);

                return $key;
            }
        }
        self::fail("{$step['key']} offers " . implode(', ', array_keys($offered)));
    }

    /** Performs any step and enters the expected observation. */
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
                'name' => $this->act('named', 'Cove', 'c1', ['room' => 'Hall']),
                default => $this->seen($step, 'expected'),
            };
        }
    }

    /** @param  array<string, mixed>  $step */
    private function seen(array $step, string $seen): void
    {
        if (in_array('work', array_column($step['answers'], 'key'), true)) {
            $this->work();
        }
        $this->pass(8);
        $this->act('saw', "{$step['key']}|{$seen}", $step['device']);
    }
}
