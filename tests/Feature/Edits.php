<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use App\Models\User;
use EmberDusk\Plan\JobFile;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;

/** A job that two of one crew change. */
trait Edits
{
    private const ENDS = ['kind' => 'FeedPattern', 'run' => 'cove', 'pattern' => 'ends'];

    private Job $job;

    private User $one;

    private User $two;

    protected function setUp(): void
    {
        parent::setUp();
        $crew = $this->crew();
        $this->job = $this->job($crew);
        $this->one = $this->user($crew);
        $this->two = $this->user($crew, 'two@firm.example');
        $this->actingAs($this->one);
    }

    /**
     * @param  array<string, mixed>  $change
     * @return TestResponse<Response>
     */
    private function change(array $change, int $base, ?User $as = null): TestResponse
    {
        return $this->actingAs($as ?? $this->one)->postJson("/jobs/{$this->job->id}/change", [
            'stage' => 'wire',
            'base' => $base,
            'change' => $change,
        ]);
    }

    private function document(): string
    {
        return JobFile::write($this->job->newest()->plan());
    }

    private function length(float $metres, int $base, ?User $as = null): void
    {
        $this->change(['kind' => 'SetCable', 'cable' => 'k1', 'length' => $metres], $base, $as)->assertOk();
    }

    /**
     * @param  array<string, mixed>  $more
     * @return TestResponse<Response>
     */
    private function step(User $as, string $what, array $more = []): TestResponse
    {
        return $this->actingAs($as)->postJson("/jobs/{$this->job->id}/{$what}", ['stage' => 'wire'] + $more);
    }

    private function metres(): float
    {
        return $this->job->newest()->plan()->cables['k1']->length;
    }
}
