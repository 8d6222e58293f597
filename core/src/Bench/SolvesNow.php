<?php

declare(strict_types=1);

namespace EmberDusk\Bench;

use EmberDusk\Bench\Faults\Predictions;
use EmberDusk\Bench\Meter\ExpectedReadings;
use EmberDusk\Circuit\Island;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/** Solves each request, without a cache. */
final readonly class SolvesNow implements BenchSolver
{
    public function expected(Plan $plan, Island $island, array $spots, array $commands): ExpectedReadings
    {
        return ExpectedReadings::for($plan, $island, $spots, $commands);
    }

    public function predictions(Plan $plan, Island $island, Run $run): Predictions
    {
        return Predictions::for($plan, $island, $run);
    }
}
