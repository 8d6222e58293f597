<?php

declare(strict_types=1);

namespace App\Results;

use EmberDusk\Checks\Scene\SceneFindings;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\Fingerprint;
use EmberDusk\Circuit\FixtureResult;
use EmberDusk\Circuit\Island;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Scene;
use EmberDusk\Values\IncompletePlan;
use EmberDusk\Values\NoSolution;
use EmberDusk\Values\Refusal;

/** Results of a plan's runs, cached by their island's fingerprint across requests: an edit solves only the changed islands. */
final readonly class ResultCache
{
    public function __construct(private ResultStore $cache) {}

    /** @return array<string, RunResult|FixtureResult|Refusal> by run and by fitting, everything full */
    public function for(Plan $plan): array
    {
        $results = $this->solved($plan, null);
        foreach (array_diff_key($plan->runs, $results) as $id => $run) {
            try {
                (new Engine($plan))->islandOf($run);
            } catch (IncompletePlan $refusal) {
                $results[$id] = $refusal;
            }
        }

        return $results;
    }

    /**
     * The scene that is looked at, and the others as far as something in them could be uneven that is even at full.
     *
     * @param  array<string, RunResult|FixtureResult|Refusal>  $full
     * @return array<string, array<string, RunResult|FixtureResult|Refusal>> by scene, then by run and by fitting
     */
    public function scenes(Plan $plan, array $full, ?string $looked, bool $every = false): array
    {
        $even = !$every ? SceneFindings::settled($plan, $full) : [];

        return array_map(
            fn(Scene $scene): array => $this->solved($plan, $scene, $scene->id === $looked ? [] : $even),
            $plan->scenes,
        );
    }

    /**
     * @param  array<string, mixed>  $even  runs that need not be solved
     * @return array<string, RunResult|FixtureResult|Refusal>
     */
    private function solved(Plan $plan, ?Scene $scene, array $even = []): array
    {
        $results = [];
        foreach (Island::all($plan) as $island) {
            if ($even !== [] && array_diff_key($island->parts, $even) === []) {
                continue;
            }
            $key = 'solved.' . Fingerprint::for($plan, $island, $scene);
            $kept = $this->cache->get($key);
            if (
                is_array($kept) &&
                $kept !== [] &&
                array_filter(
                    $kept,
                    static fn(mixed $r): bool => !($r instanceof RunResult) && !($r instanceof FixtureResult),
                ) === []
            ) {
                /** @var array<string, RunResult|FixtureResult> $kept */
                $results += $kept;

                continue;
            }
            try {
                $solved =
                    $scene === null
                        ? (new Engine($plan))->island($island)
                        : (new Engine($plan))->scene($island, $scene);
                $this->cache->put($key, $solved);
                $results += $solved;
            } catch (NoSolution $refusal) {
                $results += array_map(static fn(): Refusal => $refusal, $island->parts + $island->fixtures);
            }
        }

        return $results;
    }
}
