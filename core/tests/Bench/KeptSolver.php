<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Bench;

use EmberDusk\Bench\BenchSolver;
use EmberDusk\Bench\Faults\Predictions;
use EmberDusk\Bench\Meter\ExpectedReadings;
use EmberDusk\Circuit\Fingerprint;
use EmberDusk\Circuit\Island;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/** Solves each island once for all tests of a process. */
final class KeptSolver implements BenchSolver
{
    /** @var array<string, Predictions> */
    private static array $kept = [];

    public function expected(Plan $plan, Island $island, array $spots, array $commands): ExpectedReadings
    {
        return ExpectedReadings::for($plan, $island, $spots, $commands);
    }

    public function predictions(Plan $plan, Island $island, Run $run): Predictions
    {
        return self::$kept[$run->id . Fingerprint::for($plan, $island)] ??= Predictions::for($plan, $island, $run);
    }
}
