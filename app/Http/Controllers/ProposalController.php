<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Job;
use App\Plans\Revisions;
use App\Plans\Shelves;
use EmberDusk\Advice\Planner\Planner;
use Illuminate\Http\JsonResponse;

/** The planner's proposal for a run and those that share its supply. */
final readonly class ProposalController
{
    /** Seconds after which the best so far is answered. */
    private const PATIENCE = 8.0;

    public function show(Job $job, string $run): JsonResponse
    {
        $plan = Revisions::newest($job)->plan();
        $runs = [$plan->run($run)->id];
        foreach (Planner::together($plan) as $group) {
            $runs = in_array($run, $group, true) ? $group : $runs;
        }
        $until = microtime(true) + self::PATIENCE;

        return new JsonResponse(Planner::of($plan, $runs, Shelves::ofCrew($job->crew), static fn (int $solved): bool => $solved > 0 && microtime(true) > $until)->toArray($plan));
    }
}
