<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\Bridge;

use EmberDusk\Joining\Act;
use EmberDusk\Joining\Belief\LightSuspects;
use EmberDusk\Joining\Belief\Suspect;
use EmberDusk\Joining\Families\Bridge\Simulation\SimulatedBridge as Simulation;
use EmberDusk\Joining\Families\Bridge\Simulation\SimulatedZoneRemote;
use EmberDusk\Joining\Families\Receiver\ReceiverFamily;
use EmberDusk\Joining\Families\Remote\RemoteFamily;
use EmberDusk\Joining\Family;
use EmberDusk\Joining\FamilyFact;
use EmberDusk\Joining\JoinStep;
use EmberDusk\Joining\Observation;
use EmberDusk\Joining\OrderRule;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Simulation\SimulatedDevice;
use EmberDusk\Joining\Simulation\SimulatedSite;
use EmberDusk\Joining\StepBuilder;
use EmberDusk\Joining\Task;
use EmberDusk\Joining\Unit;
use EmberDusk\Kit\Facts;

/** Zones for 2.4 GHz receivers: a Wi-Fi bridge on the site’s network, remotes and panels. A zone accepts a receiver that was just powered. */
final readonly class BridgeFamily implements Family
{
    public function key(): string
    {
        return 'bridge';
    }

    public function takes(string $role, string $way): bool
    {
        return $role === Unit::BRIDGE || (in_array($role, [Unit::REMOTE, Unit::PANEL], true) && $way === 'rf');
    }

    public function facts(Unit $unit): array
    {
        // The remotes of its zones are on no network.
        return $unit->role === Unit::BRIDGE ? [FamilyFact::SiteNetwork] : [];
    }

    public function missing(Unit $unit, Roster $roster): array
    {
        if ($unit->role === Unit::BRIDGE) {
            return StepBuilder::missing($unit, [
                'reset' => 'its reset gesture',
                'join' => 'the press that starts its link mode',
                'joined' => 'its signal once it is on the network',
                'countdown' => 'how long the app counts',
            ]);
        }

        return StepBuilder::missing($unit, ['link' => 'its link gesture']);
    }

    public function tasks(Roster $roster): array
    {
        $tasks = [];
        foreach ($roster->units as $unit) {
            $wants = $roster->wantsOf($unit->id);
            if ($unit->family !== $this->key() || $wants === []) {
                continue;
            }
            if ($unit->role === Unit::BRIDGE) {
                $tasks[] = new Task($this->key(), Task::SETUP, $unit->id);
            }
            foreach ($wants as $want) {
                $tasks[] = new Task($this->key(), Task::LINK, $unit->id, $want->light, max(1, $want->zone));
            }
        }

        return $tasks;
    }

    public function steps(Task $task, Roster $roster, array $dropped = []): array
    {
        $unit = $roster->unit($task->device);

        if ($task->what === Task::SETUP) {
            return $this->setUp($task, $unit);
        }

        $light = $roster->unit($task->other);
        $zone = $this->zone($task, $unit, $light, $roster, $dropped);

        return $unit->role === Unit::BRIDGE ? [self::style($task, $unit, $light), $zone] : [$zone];
    }

    /** The kind of controller is chosen before its link: the app cannot change it for a zone that is linked. */
    private static function style(Task $task, Unit $unit, Unit $light): JoinStep
    {
        return StepBuilder::tap(
            task: $task,
            kind: 'style',
            unit: $unit,
            key: "style {$light->id}",
            title: "Choose the kind of controller for {$light->label()} in the app: " . Facts::way($light->kind),
            why: "It must match {$light->label()}. With another kind the link succeeds, and nothing works.",
        );
    }

    /** @return list<JoinStep> */
    private function setUp(Task $task, Unit $unit): array
    {
        $counts = $unit->leaflet->figure('countdown') ?? 60.0;

        return [
            StepBuilder::tap(
                task: $task,
                kind: 'app',
                unit: $unit,
                key: 'app',
                title: "Open the app that the instructions of {$unit->label()} name, in the generation they name",
                why: 'An app for another generation looks alike and connects to nothing.',
            ),
            StepBuilder::gesture(
                task: $task,
                kind: 'reset',
                unit: $unit,
                name: 'reset',
                signal: 'resetDone',
                why: 'A pin into its hole. It leaves its old network.',
                ifNot: 'No response: press deeper, for as long as the instructions say.',
            ),
            StepBuilder::gesture(
                task: $task,
                kind: 'press',
                unit: $unit,
                name: 'join',
                signal: '',
                why: sprintf(
                    'Its lamp blinks quickly and the app counts %g s down from now. The phone is on the site’s network.',
                    $counts,
                ),
            ),
            StepBuilder::tap(
                task: $task,
                kind: 'connect',
                unit: $unit,
                key: 'connect',
                title: 'Start the connection in the app; the client types the network’s password',
                why: 'The phone must be on the same network, in the band that the bridge can use.',
                says: 'joined',
                watch: $unit,
                waits: $counts,
                retry: 'press',
                opened: 'press',
                ifNot: 'Its lamp stays quick: the phone is on another network, or the time ran out.',
            ),
        ];
    }

    /** @param  list<OrderRule>  $dropped */
    private function zone(Task $task, Unit $unit, Unit $light, Roster $roster, array $dropped): JoinStep
    {
        $soon = $light->leaflet->figure('soon') ?? 4.0;
        $power = !in_array(OrderRule::PowerThenLink, $dropped, true)
            ? [new Act(Act::OFF, $light->id), new Act(Act::ON, $light->id)]
            : [];
        $why = sprintf(
            '%s takes a link for %g s after power-on only: switch it on and do this at once.',
            $light->label(),
            $soon,
        );
        if ($unit->role !== Unit::BRIDGE) {
            return StepBuilder::gesture(
                task: $task,
                kind: 'zone',
                unit: $unit,
                name: 'link',
                signal: 'linked',
                why: $why,
                watch: $light,
                off: array_values(array_diff(array_keys($roster->inRole(Unit::LIGHT, 'receiver')), [$light->id])),
                first: $power,
                then: "switch {$light->label()} off and on, then at once ",
                zone: $task->zone,
                ifNot: 'No response: switch off and on, then press the zone’s key at once.',
                beside: $light,
            );
        }

        return StepBuilder::tap(
            task: $task,
            kind: 'zone',
            unit: $unit,
            key: "zone {$light->id} {$task->zone}",
            title: "Switch {$light->label()} off and on, then link zone {$task->zone} in the app at once",
            why: $why,
            says: 'linked',
            watch: $light,
            first: $power,
            ifNot: 'No response: switch off and on, and link again at once. Is it the right app version for this bridge?',
        );
    }

    public function suspects(Task $task, Roster $roster): array
    {
        $unit = $roster->unit($task->device);
        if ($task->what === Task::SETUP) {
            return [
                ReceiverFamily::network(['connect' => Observation::Nothing]),
                new Suspect(
                    code: 'wrong-app',
                    device: $unit->id,
                    shows: ['connect' => Observation::Nothing],
                    says: "the app is made for another generation of {$unit->label()}",
                    check: "Compare the app’s name and generation with the instructions of {$unit->label()}. If another is named, install that one.",
                    seconds: 12.0,
                ),
            ];
        }
        $light = $roster->unit($task->other);
        if ($unit->role === Unit::BRIDGE) {
            $own = [ReceiverFamily::style($light)];
        } else {
            $own = [
                ...RemoteFamily::flat($unit),
                new Suspect(
                    code: 'too-far',
                    device: $unit->id,
                    shows: ['zone' => Observation::Nothing],
                    says: "{$unit->label()} was too far away, or metal was in between",
                    check: "Take {$unit->label()} to the receiver, with no metal in between.",
                    seconds: 8.0,
                    again: Suspect::STEP,
                ),
            ];
        }

        return [...(new LightSuspects($light))->for(), ...$own];
    }

    public function simulated(Unit $unit, SimulatedSite $site): SimulatedDevice
    {
        if ($unit->role === Unit::BRIDGE) {
            return new Simulation($unit, $site);
        }

        return new SimulatedZoneRemote($unit, $site);
    }
}
