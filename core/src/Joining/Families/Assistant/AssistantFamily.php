<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\Assistant;

use EmberDusk\Joining\Belief\Suspect;
use EmberDusk\Joining\Families\Assistant\Simulation\SimulatedAssistant as Simulation;
use EmberDusk\Joining\Family;
use EmberDusk\Joining\FamilyFact;
use EmberDusk\Joining\Observation;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Simulation\SimulatedDevice;
use EmberDusk\Joining\Simulation\SimulatedSite;
use EmberDusk\Joining\StepBuilder;
use EmberDusk\Joining\Task;
use EmberDusk\Joining\Unit;

/** Assistants that read a hub: they know names only, and those of the moment at which they searched. */
final readonly class AssistantFamily implements Family
{
    public function key(): string
    {
        return 'assistant';
    }

    public function takes(string $role, string $way): bool
    {
        return $role === Unit::ASSISTANT;
    }

    public function facts(Unit $unit): array
    {
        return [FamilyFact::Account, FamilyFact::Internet];
    }

    public function missing(Unit $unit, Roster $roster): array
    {
        return StepBuilder::missing($unit, ['search' => 'how long it searches']);
    }

    public function tasks(Roster $roster): array
    {
        $tasks = [];
        foreach ($roster->inRole(Unit::ASSISTANT) as $assistant) {
            $hub = self::hub($assistant, $roster);
            if ($hub !== null) {
                $tasks[] = new Task($this->key(), Task::READ, $assistant->id, $hub->id);
            }
        }

        return $tasks;
    }

    private static function hub(Unit $assistant, Roster $roster): ?Unit
    {
        foreach ($roster->inRole(Unit::HUB) as $hub) {
            foreach ($roster->wantsOf($assistant->id) as $want) {
                if ($roster->wants($hub->id, $want->light)) {
                    return $hub;
                }
            }
        }

        return null;
    }

    public function steps(Task $task, Roster $roster, array $dropped = []): array
    {
        $unit = $roster->unit($task->device);
        $hub = $roster->unit($task->other);
        $lights = count(
            array_filter($roster->wantsOf($unit->id), static fn($w): bool => $roster->wants($hub->id, $w->light)),
        );

        return [
            StepBuilder::tap(
                task: $task,
                kind: 'account',
                unit: $unit,
                key: "link {$hub->id}",
                title: "Link the hub’s account to {$unit->label()}, or press the hub’s key",
                why: 'It reads the hub; it joins nothing itself. The client owns the account and types its password.',
            ),
            StepBuilder::tap(
                task: $task,
                kind: 'read',
                unit: $unit,
                key: 'search',
                title: "Let {$unit->label()} search",
                why: sprintf(
                    'It takes the names that the hub has now, in about %g s.',
                    $unit->leaflet->seconds('search'),
                ),
                says: 'found',
                expects: 'it says that it found ' . ($lights === 1 ? 'one light' : "{$lights} lights"),
                waits: $unit->leaflet->seconds('search') + 1.0,
                ifNot: 'Fewer: a light is not in the hub, or the account is not linked.',
            ),
        ];
    }

    public function suspects(Task $task, Roster $roster): array
    {
        return [
            new Suspect(
                code: 'not-linked',
                device: $task->device,
                shows: ['read' => Observation::Nothing, 'accept' => Observation::Nothing],
                says: 'the hub’s account is not linked to ' . strtoupper($task->device),
                check: 'Open the assistant’s app: does it list the hub? If not, link the account again, with the client at the keys.',
                seconds: 20.0,
            ),
        ];
    }

    public function simulated(Unit $unit, SimulatedSite $site): SimulatedDevice
    {
        return new Simulation($unit, $site);
    }
}
