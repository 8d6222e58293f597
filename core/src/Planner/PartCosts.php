<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Kit\Cable;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Plan\Changes\Runs\SplitRun;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Rates\Joints;
use EmberDusk\Rates\RunUnits;
use EmberDusk\Rates\UnitCosts;

/** Separate loads of each part of a run, whole or in halves, and the number of joined cores. */
final class PartCosts
{
    /** @var array<string, array<int, array{int, int}>> cost and joints by run, whole and in halves */
    private array $parts = [];

    public function __construct(private readonly Plan $plan, private readonly UnitCosts $costs) {}

    /** @return array{int, int} cost and joints of tests, cuts, sealed ends and leads between sections; the joints are not in the cost */
    public function costs(Run $run, bool $halves): array
    {
        return $this->parts[$run->id][(int) $halves] ??= $this->counted($run, $halves);
    }

    /** Cores of a feed's cable that are joined. */
    public function cores(Run $run, KitSnapshot $cable): int
    {
        return Joints::joined(
            $this->plan->of($run)->cores(),
            $cable->entry instanceof Cable ? $cable->entry->cores : PHP_INT_MAX,
        );
    }

    /** @return array{int, int} */
    private function counted(Run $run, bool $halves): array
    {
        [$cost, $joints] = [0, 0];
        foreach ($halves ? SplitRun::cut($run, 2, $this->plan->runs) : [$run] as $part) {
            $part = $part->equipped($run->strip);
            $cost += $this->costs->part(RunUnits::for($this->plan, $part));
            $joints += (new Joints($this->plan))->ofRun($part, 0);
        }

        return [$cost, $joints];
    }
}
