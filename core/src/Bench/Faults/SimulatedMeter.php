<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Faults;

use EmberDusk\Bench\Meter\BenchCircuit;
use EmberDusk\Bench\Meter\MeterCommand;
use EmberDusk\Bench\Meter\MeterSpot;
use EmberDusk\Bench\Meter\Multimeter;
use EmberDusk\Bench\Meter\Reading;
use EmberDusk\Circuit\Conditions;
use EmberDusk\Circuit\Island;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\Dice;

/** A meter held to the simulated device of an island: the solved circuit with its fault, rails and supplies as far off as chance has them. */
final readonly class SimulatedMeter
{
    private Conditions $conditions;

    private Multimeter $meter;

    private BenchCircuit $circuit;

    /** @param  list<Fault>  $faults */
    public function __construct(Plan $plan, Island $island, private array $faults, int $seed)
    {
        $dice = new Dice($seed);
        $rail = Conditions::rails()->rail - 1;
        $supply = Conditions::charging()->supply - 1;
        $this->conditions = new Conditions(
            1 + $dice->between(-$rail, $rail, 'rails'),
            1 + $dice->between(-$supply, $supply, 'supplies'),
        );
        $this->meter = new Multimeter($dice);
        $this->circuit = BenchCircuit::for($plan, $island);
    }

    /** @throws \EmberDusk\Values\Refusal when the faulty circuit has no solution */
    public function read(MeterSpot $spot, MeterCommand $command): Reading
    {
        $true = $this->circuit->read([$spot], $command, $this->conditions, $this->faults)[$spot->id] ?? 0.0;

        return new Reading($spot, $command, $this->meter->shows($true, "{$command->key} {$spot->id}"));
    }
}
