<?php

declare(strict_types=1);

namespace EmberDusk\Bench;

use EmberDusk\Bench\Faults\Predictions;
use EmberDusk\Bench\Meter\ExpectedReadings;
use EmberDusk\Bench\Meter\MeterCommand;
use EmberDusk\Bench\Meter\MeterSpot;
use EmberDusk\Circuit\Island;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Values\Refusal;

/** Source of the expected values of an island: solved now, or cached. */
interface BenchSolver
{
    /**
     * @param  list<MeterSpot>  $spots
     * @param  list<MeterCommand>  $commands
     *
     * @throws Refusal when the circuit has no solution
     */
    public function expected(Plan $plan, Island $island, array $spots, array $commands): ExpectedReadings;

    /**
     * @param  Run  $run  near to which a fault is looked for
     *
     * @throws Refusal when the circuit has no solution
     */
    public function predictions(Plan $plan, Island $island, Run $run): Predictions;
}
