<?php

declare(strict_types=1);

namespace EmberDusk\Options;

use EmberDusk\Checks\Findings;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Registry;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\Invariants;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Requirement;
use EmberDusk\Plan\Run;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\Finding;

/** A requirement put into the plan and solved on the real run: fed at as few points as hold the limits, or else as even as it gets. */
final readonly class Trial
{
    /** Feed points of a part, fewest joints first. */
    private const FEEDS = [[0.0], [0.5], [0.0, 1.0], [0.0, 0.5, 1.0]];

    /**
     * @param  list<ChangePayload>  $changes  what takes it over
     * @param  array<string, RunResult>  $results  by part of the run
     * @param  list<Finding>  $findings
     */
    private function __construct(
        public Plan $plan,
        public array $changes,
        public array $results,
        public array $findings,
        public int $feeds,
    ) {}

    /** @throws \EmberDusk\Values\Refusal when it cannot be solved */
    public static function for(
        Plan $plan,
        Run $run,
        Requirement $requirement,
        Fulfilment $kit,
        ShelfSource $shelf,
    ): self {
        $best = null;
        foreach (self::FEEDS as $shares) {
            $changes = $kit->changes($plan, $run, $requirement, $shares);
            $trial = self::solved(
                self::applied($plan, $changes, $shelf),
                $run,
                $changes,
                count($shares) * $requirement->controllers,
            );
            if ($trial->holds()) {
                return $trial;
            }
            if ($best === null || $trial->evenness() > $best->evenness()) {
                $best = $trial;
            }
        }

        return $best;
    }

    /**
     * A plan solved for all parts of a run.
     *
     * @throws \EmberDusk\Values\Refusal when it cannot be solved
     */
    public static function drawn(Plan $plan, Run $run): self
    {
        return self::solved($plan, $run, [], 0);
    }

    public function darkest(): float
    {
        return min(array_map(static fn(RunResult $r): float => $r->darkest(), $this->results) ?: [0.0]);
    }

    /** Over all parts, since the eye sees them side by side. */
    public function evenness(): float
    {
        $brightest = max(array_map(static fn(RunResult $r): float => $r->brightest(), $this->results) ?: [0.0]);
        if ($brightest > 0) {
            return $this->darkest() / $brightest;
        }

        return 0.0;
    }

    /** Watts from all supplies at full. */
    public function watts(): float
    {
        return array_sum(array_map(static fn(RunResult $r): float => $r->balance->emf, $this->results));
    }

    private function holds(): bool
    {
        return array_filter(
            $this->findings,
            static fn(Finding $f): bool => in_array($f->code, ['evenness', 'seam', 'drop'], true),
        ) === [] && $this->evenness() >= $this->plan->limits->evenness;
    }

    /** @param  list<ChangePayload>  $changes */
    private static function applied(Plan $plan, array $changes, ShelfSource $shelf): Plan
    {
        foreach ($changes as $change) {
            $plan = Catalogue::make($change, $shelf)->apply($plan);
        }
        Invariants::check($plan);

        return $plan;
    }

    /** @param  list<ChangePayload>  $changes */
    private static function solved(Plan $plan, Run $run, array $changes, int $feeds): self
    {
        $results = [];
        foreach ($plan->runs as $id => $part) {
            if ($part->place === $run->place && $part->word === $run->word) {
                $results[$id] = (new Engine($plan))->nominal($part);
            }
        }

        return new self(
            plan: $plan,
            changes: $changes,
            results: $results,
            findings: Findings::about(
                $plan,
                array_keys($results),
                Registry::check(JudgedJob::plan($plan, $results), Registry::circuit()),
            ),
            feeds: $feeds,
        );
    }
}
