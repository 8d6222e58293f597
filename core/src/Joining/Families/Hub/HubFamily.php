<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\Hub;

use EmberDusk\Joining\Families\Hub\Simulation\SimulatedHub as Simulation;
use EmberDusk\Joining\Family;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Simulation\SimulatedDevice;
use EmberDusk\Joining\Simulation\SimulatedSite;
use EmberDusk\Joining\StepBuilder;
use EmberDusk\Joining\Task;
use EmberDusk\Joining\Unit;

/** Zigbee hubs, home-automation servers with a stick, and assistants with a radio of their own: they search, list and name. */
final readonly class HubFamily implements Family
{
    public function key(): string
    {
        return 'hub';
    }

    public function takes(string $role, string $way): bool
    {
        return $role === Unit::HUB && $way === 'zigbee';
    }

    public function facts(Unit $unit): array
    {
        return [];
    }

    public function missing(Unit $unit, Roster $roster): array
    {
        return StepBuilder::missing($unit, ['search' => 'how long it searches', 'lagMost' => 'how long its list lags']);
    }

    public function tasks(Roster $roster): array
    {
        return [];
    }

    public function steps(Task $task, Roster $roster, array $dropped = []): array
    {
        return [];
    }

    public function suspects(Task $task, Roster $roster): array
    {
        return [];
    }

    public function simulated(Unit $unit, SimulatedSite $site): SimulatedDevice
    {
        return new Simulation($unit, $site);
    }
}
