<?php

declare(strict_types=1);

namespace App\Plans;

use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\Island;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Plan\Plan;
use EmberDusk\Workings\Trouble;
use Illuminate\Contracts\Cache\Repository;

/** Results of a plan's runs, kept by their island's fingerprint across requests: an edit solves only what it touched. */
final readonly class Solutions
{
    private const DAY = 86_400;

    public function __construct(private Repository $cache)
    {
    }

    /** @return array<string, RunResult|Trouble> by run */
    public function of(Plan $plan): array
    {
        $results = [];
        foreach (Island::all($plan) as $island) {
            $key = 'solved.'.Engine::fingerprint($plan, $island);
            $kept = $this->cache->get($key);
            if (is_array($kept) && $kept !== [] && array_filter($kept, static fn (mixed $r): bool => ! $r instanceof RunResult) === []) {
                /** @var array<string, RunResult> $kept */
                $results += $kept;

                continue;
            }
            try {
                $solved = Engine::island($plan, $island);
                $this->cache->put($key, $solved, self::DAY);
                $results += $solved;
            } catch (Trouble $trouble) {
                $results += array_map(static fn (): Trouble => $trouble, $island->parts);
            }
        }

        foreach (array_diff_key($plan->runs, $results) as $id => $run) {
            try {
                Engine::islandOf($plan, $run);
            } catch (Trouble $trouble) {
                $results[$id] = $trouble;
            }
        }

        return $results;
    }
}
