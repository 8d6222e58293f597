<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ProposalRequest;
use App\Jobs\Propose;
use App\Models\Job;
use App\Models\JobProposal;
use App\Screens\Wire\ProposalState;
use App\Time\Clock;
use EmberDusk\Planner\Wish;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;

/** The planner's proposals: asked for, looked at while they are calculated, stopped. */
final readonly class ProposalController
{
    public function store(ProposalRequest $request, Job $job): JsonResponse
    {
        $plan = $job->newest()->plan();
        /** @var list<string> $runs */
        $runs = $request->validated('runs');
        foreach ($runs as $run) {
            $plan->run($run);
        }
        /** @var string|null $wish */
        $wish = $request->validated('wish');
        if ($wish !== null) {
            Wish::read($wish);
        }
        $proposal = DB::transaction(static function () use ($request, $job, $runs): JobProposal {
            $proposal = $job->proposals()->create([
                'user_id' => $request->user()?->getAuthIdentifier(),
                'runs' => $runs,
                'keep' => $request->validated('keep'),
                'wish' => $request->validated('wish'),
                'state' => 'waiting',
            ]);
            Propose::dispatch($proposal->id)->beforeCommit();

            return $proposal;
        });

        return $this->told($proposal->refresh(), 201);
    }

    public function show(Job $job, JobProposal $proposal): JsonResponse
    {
        return $this->told($proposal);
    }

    public function stop(Job $job, JobProposal $proposal): JsonResponse
    {
        DB::transaction(static fn(): bool => $proposal->update(['stop' => true]));

        return $this->told($proposal);
    }

    private function told(JobProposal $proposal, int $status = 200): JsonResponse
    {
        $done = $proposal->state === 'done' && $proposal->answer !== null;

        return new JsonResponse(
            new ProposalState(
                id: $proposal->id,
                state: $proposal->state,
                solved: $proposal->solved,
                about: $proposal->about,
                message: $proposal->trouble(Clock::now()),
                proposal: $done ? json_decode((string) $proposal->answer) : null,
            ),
            $status,
        );
    }
}
