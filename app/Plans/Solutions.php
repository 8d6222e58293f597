<?php

declare(strict_types=1);

namespace App\Plans;

use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Plan\Plan;
use EmberDusk\Workings\Trouble;
use Illuminate\Contracts\Cache\Repository;

/** Results of a plan's runs, kept by the circuit's fingerprint across requests: an edit solves only what it touched. */
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
        foreach ($plan->runs as $id => $run) {
            $key = 'solved.'.Engine::fingerprint($plan, $run);
            $kept = $this->cache->get($key);
            if ($kept instanceof RunResult) {
                $results[$id] = $kept;

                continue;
            }
            try {
                $results[$id] = Engine::solve($plan, $run);
                $this->cache->put($key, $results[$id], self::DAY);
            } catch (Trouble $trouble) {
                $results[$id] = $trouble;
            }
        }

        return $results;
    }
}
