<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Facts\Bases;
use App\Models\JobProposal;
use EmberDusk\Formats\Json;
use EmberDusk\Planner\Planner;
use EmberDusk\Planner\PlannerProgress;
use EmberDusk\Planner\Wish;
use EmberDusk\Values\Refusal;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\DB;
use Throwable;

/** Runs a proposal, reports progress, and ends with the best so far on request. */
final class Propose implements ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public int $timeout = 300;

    /** Seconds between looks at the stop flag, and those after which it ends automatically. */
    private const LOOK = 0.2;

    private const PATIENCE = 90.0;

    public function __construct(private readonly int $proposal) {}

    public function handle(): void
    {
        $proposal = JobProposal::query()->findOrFail($this->proposal);
        self::keep($proposal, ['state' => 'running']);
        $plan = $proposal->job->newest()->plan();
        $basis = Bases::for($proposal->job);
        $begun = $looked = microtime(true);
        $watch = new PlannerProgress(static function (int $solved, string $about) use (
            $proposal,
            $begun,
            &$looked,
        ): bool {
            $now = microtime(true);
            if ($now - $looked < self::LOOK) {
                return false;
            }
            $looked = $now;
            self::keep($proposal, ['solved' => $solved, 'about' => mb_substr($about, 0, 200)]);

            return $proposal->refresh()->stop || $now - $begun > self::PATIENCE;
        });
        try {
            $found = Planner::propose(
                plan: $plan,
                runs: $proposal->runs,
                basis: $basis,
                keep: $proposal->keep,
                watch: $watch,
                waysOut: $proposal->wish === null,
                wish: $proposal->wish === null ? null : Wish::read($proposal->wish),
            );
            self::keep($proposal, [
                'state' => 'done',
                'solved' => $found->solved,
                'answer' => Json::compact($found->write()),
            ]);
        } catch (Refusal $t) {
            self::keep($proposal, ['state' => 'failed', 'answer' => $t->getMessage()]);
        }
    }

    public function failed(?Throwable $why): void
    {
        $proposal = JobProposal::query()->findOrFail($this->proposal);
        self::keep($proposal, [
            'state' => 'failed',
            'answer' => 'The planner stopped with an error. The job is unchanged; try fewer runs at once.',
        ]);
    }

    /** @param  array<string, mixed>  $what */
    private static function keep(JobProposal $proposal, array $what): void
    {
        // A sign of life too, where nothing else has changed.
        DB::transaction(static fn(): bool => $proposal->fill($what)->touch());
    }
}
