<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Kit\Cable;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Parts\FirstForPurpose;
use EmberDusk\Plan\Changes\Runs\SplitRun;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\DataLead;
use EmberDusk\Plan\Run;
use EmberDusk\Rates\Joints;
use EmberDusk\Rates\RunUnits;
use EmberDusk\Rates\UnitCosts;

/** Costs of each part of a run, whole or in halves, and the number of joined cores. */
final class PartCosts
{
    /** @var array<string, array<int, PartCost>> by run, whole and in halves */
    private array $parts = [];

    private readonly FirstForPurpose $purpose;

    public function __construct(private readonly Plan $plan, private readonly UnitCosts $costs, ShelfSource $shelf)
    {
        $this->purpose = new FirstForPurpose($shelf);
    }

    /** Tests, cuts, sealed ends, leads between sections, and the data wire from a pixel board. */
    public function costs(Run $run, bool $halves): PartCost
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

    private function counted(Run $run, bool $halves): PartCost
    {
        $cost = $joints = $data = 0;
        $parts = array_map(
            static fn(Run $part): Run => $part->equipped($run->strip, $run->supply, $run->controller),
            $halves ? SplitRun::cut($run, 2, $this->plan->runs) : [$run->id => $run],
        );
        // Pixels are fed from their supply: no core of a feed's cable is left for data.
        $plan = $this->plan->fedBy($run, [])->with(runs: $parts + $this->plan->runs);
        foreach ($parts as $part) {
            $cost += $this->costs->part(RunUnits::for($this->plan, $part));
            $joints += (new Joints($this->plan))->ofRun($part, 0);
            $lead = DataLead::separateTo($plan, $part->id);
            $kit = $lead === null ? null : $this->purpose->dataWire($lead->wires($plan));
            if ($lead?->metres !== null && $kit !== null) {
                $made = (new Joints($plan))->ofData($lead);
                $cost += $this->costs->cable($kit, $lead->metres);
                $cost += $this->costs->joints($made->made) + $this->costs->terminals($made->terminals);
                $data += $made->all();
            }
        }

        return new PartCost($cost, $joints, $data);
    }
}
