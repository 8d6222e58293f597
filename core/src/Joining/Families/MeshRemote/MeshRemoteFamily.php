<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\MeshRemote;

use EmberDusk\Joining\Act;
use EmberDusk\Joining\Belief\LightSuspects;
use EmberDusk\Joining\Belief\Suspect;
use EmberDusk\Joining\Families\MeshRemote\Simulation\SimulatedPairingRemote;
use EmberDusk\Joining\Families\Remote\RemoteFamily;
use EmberDusk\Joining\Family;
use EmberDusk\Joining\JoinStep;
use EmberDusk\Joining\Look;
use EmberDusk\Joining\Observation;
use EmberDusk\Joining\OrderRule;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Simulation\SimulatedDevice;
use EmberDusk\Joining\Simulation\SimulatedSite;
use EmberDusk\Joining\StepBuilder;
use EmberDusk\Joining\Task;
use EmberDusk\Joining\Unit;

/** Remotes that work mesh controllers by radio of their own. The presses that open a link also answer a mesh search: never both at the same time. */
final readonly class MeshRemoteFamily implements Family
{
    public function key(): string
    {
        return 'meshremote';
    }

    public function takes(string $role, string $way): bool
    {
        return in_array($role, [Unit::REMOTE, Unit::PANEL], true) && $way === 'mesh';
    }

    public function facts(Unit $unit): array
    {
        return [];
    }

    public function missing(Unit $unit, Roster $roster): array
    {
        return StepBuilder::missing($unit, ['link' => 'its zone gesture']);
    }

    public function tasks(Roster $roster): array
    {
        $tasks = [];
        foreach ($roster->wants as $want) {
            if ($roster->unit($want->control)->family === $this->key()) {
                $tasks[] = new Task($this->key(), Task::LINK, $want->control, $want->light, max(1, $want->zone));
            }
        }

        return $tasks;
    }

    public function steps(Task $task, Roster $roster, array $dropped = []): array
    {
        $remote = $roster->unit($task->device);
        $light = $roster->unit($task->other);
        $listens = $light->leaflet->figure('linkListens') ?? 10.0;
        $steps = [];
        if (!in_array(OrderRule::SearchEnded, $dropped, true)) {
            $steps[] = new JoinStep(
                task: $task->id(),
                kind: 'quiet',
                look: Look::Hand,
                device: Roster::PHONE,
                title: 'End the search in the app',
                why: 'The same presses would answer it, and the remote would go without.',
                where: 'phone, the lights’ app',
                acts: [new Act(Act::TAP, Roster::PHONE, 'end mesh')],
            );
        }

        return [
            ...$steps,
            StepBuilder::gesture(
                task: $task,
                kind: 'open',
                unit: $light,
                name: 'join',
                signal: '',
                why: sprintf('It takes a zone for %g s from now.', $listens),
            ),
            StepBuilder::gesture(
                task: $task,
                kind: 'link',
                unit: $remote,
                name: 'link',
                signal: 'linked',
                why: "Zone {$task->zone} works {$light->called()} from then on.",
                watch: $light,
                zone: $task->zone,
                retry: 'open',
                opened: 'open',
                opens: [0.0, $listens],
                ifNot: 'No response: press the controller’s key again, then the zone’s key at once.',
                beside: $light,
            ),
        ];
    }

    public function suspects(Task $task, Roster $roster): array
    {
        $remote = $roster->unit($task->device);

        return [
            ...(new LightSuspects($roster->unit($task->other)))->for(),
            ...RemoteFamily::flat($remote),
            new Suspect(
                code: 'both-at-once',
                device: $remote->id,
                shows: ['link' => Observation::Nothing],
                says: 'a search of the app still ran, and took the presses',
                check: 'Close the app completely on every phone. Check that none still searches.',
                seconds: 8.0,
            ),
            new Suspect(
                code: 'too-far',
                device: $remote->id,
                shows: ['link' => Observation::Nothing],
                says: "{$remote->label()} was held too far away",
                check: "Hold {$remote->label()} within a metre of the controller.",
                seconds: 8.0,
                again: Suspect::STEP,
            ),
        ];
    }

    public function simulated(Unit $unit, SimulatedSite $site): SimulatedDevice
    {
        return new SimulatedPairingRemote($unit, $site);
    }
}
