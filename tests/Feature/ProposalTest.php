<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Jobs\Propose;
use App\Models\Job;
use App\Models\JobProposal;
use EmberDusk\Tests\Responses;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Queue;
use Tests\TestCase;

final class ProposalTest extends TestCase
{
    use RefreshDatabase;

    private Job $job;

    protected function setUp(): void
    {
        parent::setUp();
        $this->job = $this->job($this->crew());
        $this->actingAs($this->user($this->job->crew));
    }

    public function test_reports_a_proposal_without_a_worker_after_five_seconds(): void
    {
        $this->travelTo('2026-12-01 09:00:00');
        Queue::fake();
        $id = $this->postJson("/jobs/{$this->job->id}/proposals", ['runs' => ['cove'], 'keep' => []])
            ->assertCreated()
            ->json('id');
        $said = fn(): mixed => $this->answer($this->getJson("/jobs/{$this->job->id}/proposals/{$id}"), 'proposalState')[
            'message'
        ];
        $this->travel(4)->seconds();
        self::assertSame('', $said());
        $this->travel(1)->seconds();
        self::assertSame(
            'The worker is not running. The administrator starts it with “php artisan ' .
                'queue:work --sleep=0.2”; the proposal then continues.',
            $said(),
        );
        // Behind another that is calculated, it is only later.
        $other = $this->job->proposals()->create(['runs' => ['cove'], 'keep' => [], 'state' => 'running']);
        self::assertSame('Another proposal is calculated first; this one follows.', $said());
        $this->travel(31)->seconds();
        self::assertStringContainsString('The worker is not running', (string) $said());
        self::assertStringContainsString(
            'No progress for 31 s',
            (string) $this->getJson("/jobs/{$this->job->id}/proposals/{$other->id}")->json('message'),
        );
    }

    public function test_a_proposal_is_worked_out_and_taken(): void
    {
        $told = $this->proposed(['cove'], []);
        Responses::check($told, 'proposalState');
        self::assertSame('done', $told['state']);
        self::assertNotSame([], $told['proposal']['cheaper']);
        self::assertNotSame([], $told['proposal']['drawn']['broken']);
        $this->postJson("/jobs/{$this->job->id}/change", [
            'base' => 1,
            'stage' => 'wire',
            'change' => $told['proposal']['found']['take'],
        ])->assertOk();
        self::assertStringStartsWith('Proposal taken: Cove fed at', $this->job->newest()->words);
        // A used proposal is proposed again without differences.
        $again = $this->proposed(['cove'], []);
        self::assertSame([], $again['proposal']['drawn']['lines']);
        self::assertSame([], $again['proposal']['drawn']['broken']);
        $this->postJson("/jobs/{$this->job->id}/undo", ['stage' => 'wire'])->assertOk();
        self::assertSame(
            0,
            $this->job
                ->newest()
                ->plan()
                ->ways()
                ->feedsOf($this->job->newest()->plan()->run('cove'))[0]->pad,
        );
    }

    public function test_pinned_kit_stays(): void
    {
        $before = $this->job->newest()->plan();
        $told = $this->proposed(['cove'], ['kit', 'cables']);
        $this->postJson("/jobs/{$this->job->id}/change", [
            'base' => 1,
            'stage' => 'wire',
            'change' => $told['proposal']['found']['take'],
        ])->assertOk();
        $after = $this->job->newest()->plan();
        self::assertEquals([$before->supplies, $before->controllers], [$after->supplies, $after->controllers]);
        self::assertSame(
            [$before->cables['k2']->kit],
            array_values(
                array_unique(
                    array_map(
                        static fn($f): string => $after->ways()->cableTo($f->id)->kit ?? '',
                        $after->ways()->feedsOf($after->run('cove')),
                    ),
                ),
            ),
        );
    }

    public function test_it_waits_for_a_worker_and_a_stop_is_kept(): void
    {
        Queue::fake();
        $told = $this->postJson("/jobs/{$this->job->id}/proposals", ['runs' => ['cove'], 'keep' => []])
            ->assertCreated()
            ->json();
        self::assertSame(['waiting', null], [$told['state'], $told['proposal']]);
        Queue::assertPushed(Propose::class, 1);
        $this->postJson("/jobs/{$this->job->id}/proposals/{$told['id']}/stop")->assertOk();
        self::assertSame(
            [true],
            JobProposal::query()->whereKey($told['id'])->get()->map(static fn(JobProposal $p): bool => $p->stop)->all(),
        );
        (new Propose($told['id']))->failed(null);
        self::assertStringContainsString(
            'The job is unchanged',
            $this->getJson("/jobs/{$this->job->id}/proposals/{$told['id']}")->json('message'),
        );
    }

    public function test_bad_requests_and_strangers_are_refused(): void
    {
        $this->postJson("/jobs/{$this->job->id}/proposals", ['runs' => [], 'keep' => []])->assertStatus(422);
        $this->postJson("/jobs/{$this->job->id}/proposals", ['runs' => ['cove'], 'keep' => ['colour']])->assertStatus(
            422,
        );
        $this->postJson("/jobs/{$this->job->id}/proposals", ['runs' => ['nowhere'], 'keep' => []])->assertStatus(422);
        $this->postJson("/jobs/{$this->job->id}/proposals", ['runs' => ['cove'], 'keep' => [], 'wish' => 'colour red'])
            ->assertStatus(422)
            ->assertJsonPath('pointer', '/wish');
        $proposal = $this->job->proposals()->create(['runs' => ['cove'], 'keep' => [], 'state' => 'waiting']);
        $this->getJson('/jobs/' . $this->job($this->job->crew)->id . "/proposals/{$proposal->id}")->assertNotFound();
        $this->actingAs($this->user($this->crew('Crew B'), 'two@firm.example'));
        $this->getJson("/jobs/{$this->job->id}/proposals/{$proposal->id}")->assertNotFound();
    }

    /**
     * @param  list<string>  $runs
     * @param  list<string>  $keep
     * @return array<string, mixed>
     */
    private function proposed(array $runs, array $keep): array
    {
        return $this->postJson("/jobs/{$this->job->id}/proposals", ['runs' => $runs, 'keep' => $keep])
            ->assertCreated()
            ->json();
    }

    /** “Why not this”: the choice that was asked for is kept to by the worker. */
    public function test_a_choice_is_kept_to_and_priced(): void
    {
        $id = $this->postJson("/jobs/{$this->job->id}/proposals", [
            'runs' => ['cove'],
            'keep' => [],
            'wish' => 'cable 2.5 mm²',
        ])
            ->assertCreated()
            ->json('id');
        $found = $this->getJson("/jobs/{$this->job->id}/proposals/{$id}")->json('proposal.found');
        self::assertStringContainsString('2.5 mm²', $found['parts'][0]);
        self::assertStringNotContainsString('1.5 mm²', $found['parts'][0]);
    }
}
