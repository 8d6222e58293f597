<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\Receiver;

use EmberDusk\Joining\Belief\LightSuspects;
use EmberDusk\Joining\Belief\Suspect;
use EmberDusk\Joining\Families\Receiver\Simulation\SimulatedPhoneHub;
use EmberDusk\Joining\Families\Receiver\Simulation\SimulatedReceiver as Simulation;
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

/** 2.4 GHz receivers, and the hub that binds them to one phone: the phone is on the unit’s own network first, then the learn key and the app’s key. */
final readonly class ReceiverFamily implements Family
{
    public function key(): string
    {
        return 'receiver';
    }

    public function takes(string $role, string $way): bool
    {
        return in_array($role, [Unit::LIGHT, Unit::HUB], true) && $way === 'rf';
    }

    public function facts(Unit $unit): array
    {
        return [$unit->role === Unit::HUB ? FamilyFact::OnePhone : FamilyFact::CanMiss];
    }

    public function missing(Unit $unit, Roster $roster): array
    {
        if ($unit->role === Unit::HUB) {
            return [];
        }
        $bound = array_filter(
            $roster->inRole(Unit::HUB),
            static fn(Unit $h): bool => $roster->wants($h->id, $unit->id),
        );

        return StepBuilder::missing($unit, [
            'reset' => 'its reset gesture',
            'resetDone' => 'its signal once it is reset',
            'linked' => 'its signal once it is linked',
            ...$bound === [] ? [] : ['join' => 'its learn key', 'listens' => 'how long it learns'],
        ]);
    }

    public function tasks(Roster $roster): array
    {
        $tasks = [];
        foreach ($roster->inRole(Unit::HUB, $this->key()) as $hub) {
            $wants = $roster->wantsOf($hub->id);
            if ($wants !== []) {
                $tasks[] = new Task($this->key(), Task::SETUP, $hub->id);
            }
            foreach ($wants as $want) {
                $tasks[] = new Task($this->key(), Task::JOIN, $want->light, $hub->id);
            }
        }
        // Without such a hub a receiver is only reset, before zones take it.
        foreach ($roster->inRole(Unit::LIGHT, $this->key()) as $light) {
            $joined = array_filter($tasks, static fn(Task $t): bool => $t->device === $light->id);
            if (
                $joined === [] &&
                array_filter($roster->wants, static fn($w): bool => $w->light === $light->id) !== []
            ) {
                $tasks[] = new Task($this->key(), Task::SETUP, $light->id);
            }
        }

        return $tasks;
    }

    public function steps(Task $task, Roster $roster, array $dropped = []): array
    {
        $unit = $roster->unit($task->device);
        if ($unit->role === Unit::HUB) {
            return [$this->enter($task, $unit)];
        }
        $steps = [];
        if (!in_array(OrderRule::ResetFirst, $dropped, true) && ($unit->used || !$roster->school->trustsNew)) {
            $steps[] = StepBuilder::gesture(
                task: $task,
                kind: 'reset',
                unit: $unit,
                name: 'reset',
                signal: 'resetDone',
                why: "{$unit->label()} loses its former links.",
                ifNot: 'No response: check its power, then repeat the gesture evenly.',
            );
        }
        if ($task->other === '') {
            return $steps;
        }
        $hub = $roster->unit($task->other);

        return [
            ...$steps,
            StepBuilder::tap(
                task: $task,
                kind: 'kind',
                unit: $hub,
                key: "kind {$unit->id}",
                title: "Choose the kind of light for {$unit->label()} in the app, and its room",
                why: 'The type in the app must match the strip, or nothing works. The settings are stored in this phone only.',
            ),
            StepBuilder::gesture(
                task: $task,
                kind: 'learn',
                unit: $unit,
                name: 'join',
                signal: '',
                why: sprintf('It learns for %g s from now.', $unit->leaflet->seconds('listens')),
            ),
            StepBuilder::tap(
                task: $task,
                kind: 'swipe',
                unit: $hub,
                key: "swipe {$unit->id}",
                title: ($hub->leaflet->bind ?: 'Press the key that binds') .
                    " in the app while {$unit->label()} learns",
                why: 'Only the phone that binds it controls it: use the client’s phone.',
                says: 'linked',
                watch: $unit,
                waits: 4.0,
                retry: 'learn',
                opened: 'learn',
                opens: [0.0, $unit->leaflet->seconds('listens')],
                ifNot: 'No response: press the learn key again, then the app’s key at once.',
            ),
        ];
    }

    private function enter(Task $task, Unit $hub): JoinStep
    {
        return StepBuilder::tap(
            task: $task,
            kind: 'enter',
            unit: $hub,
            key: 'enter',
            title: "Let the phone join {$hub->label()}’s own network, then open the app",
            why: 'The phone is on the unit’s network, not on the site’s.',
            says: 'entered',
            expects: ($hub->leaflet->network === '' ? '' : "{$hub->leaflet->network}, and ") . 'the app opens',
            ifNot: 'The phone has returned to another network, or another phone is connected to the unit.',
        );
    }

    public function suspects(Task $task, Roster $roster): array
    {
        $unit = $roster->unit($task->device);
        if ($unit->role === Unit::HUB) {
            return self::entering($unit);
        }
        $suspects = (new LightSuspects($unit))->for();
        if ($task->other !== '') {
            $suspects = [...$suspects, self::style($unit), self::leaves('the app’s key')];
        }

        return $suspects;
    }

    /** @return list<Suspect> */
    private static function entering(Unit $hub): array
    {
        return [
            self::network(['enter' => Observation::Nothing]),
            new Suspect(
                code: 'second-phone',
                device: $hub->id,
                shows: ['enter' => Observation::Nothing],
                says: "another phone is connected to {$hub->label()}",
                check: 'If the app is open on another phone, close it there and let that phone forget the unit’s network.',
                seconds: 15.0,
            ),
        ];
    }

    /** @param  array<string, Observation>  $shows */
    public static function network(array $shows): Suspect
    {
        return new Suspect(
            code: 'other-network',
            device: Roster::PHONE,
            shows: $shows,
            says: 'the phone is on another network',
            check: 'Read the network’s name on the phone. If it is another one or none, choose the right one, and switch mobile data off meanwhile.',
            seconds: 6.0,
        );
    }

    public static function style(Unit $unit): Suspect
    {
        return new Suspect(
            code: 'wrong-style',
            device: $unit->id,
            shows: ['accept' => Observation::Nothing],
            says: "another kind of controller was chosen in the app for {$unit->label()}",
            check: "Read the kind of {$unit->label()} in the app. It must match the strip, or nothing works.",
            seconds: 8.0,
            again: Suspect::STEP,
        );
    }

    public static function leaves(string $by): Suspect
    {
        return new Suspect(
            code: 'phone-leaves',
            device: Roster::PHONE,
            shows: ['accept' => Observation::Nothing],
            says: 'the lights were bound with a phone that is not the client’s',
            check: "Whose phone made {$by}? Not the client’s: reset every receiver, and bind them with the client’s phone.",
            seconds: 5.0,
            again: Suspect::DEVICES,
        );
    }

    public function simulated(Unit $unit, SimulatedSite $site): SimulatedDevice
    {
        if ($unit->role === Unit::HUB) {
            return new SimulatedPhoneHub($unit, $site);
        }

        return new Simulation($unit, $site);
    }
}
