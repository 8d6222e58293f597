<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Joining\Belief\Suspect;
use EmberDusk\Joining\Simulation\SimulatedDevice;
use EmberDusk\Joining\Simulation\SimulatedSite;

/** One family of devices in joining: its tasks and steps, possible faults, and its simulated device. One folder per family. */
interface Family
{
    public function key(): string;

    /** Whether units of that role and way of control are its own. */
    public function takes(string $role, string $way): bool;

    /** @return list<FamilyFact> what is so of one of its units */
    public function facts(Unit $unit): array;

    /**
     * Required instructions before any of it can be joined.
     *
     * @return list<string> gestures, signals and figures that are missing, in words
     */
    public function missing(Unit $unit, Roster $roster): array;

    /**
     * Tasks for the planned controls, in a working order.
     *
     * @return list<Task>
     */
    public function tasks(Roster $roster): array;

    /**
     * The steps of one of its tasks, in their order.
     *
     * @param  list<OrderRule>  $dropped  rules of order that are left out
     * @return list<JoinStep>
     */
    public function steps(Task $task, Roster $roster, array $dropped = []): array;

    /**
     * Possible faults of a failed task.
     *
     * @return list<Suspect>
     */
    public function suspects(Task $task, Roster $roster): array;

    /** The simulated device of this unit. */
    public function simulated(Unit $unit, SimulatedSite $site): SimulatedDevice;
}
