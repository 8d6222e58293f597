<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\Cloud;

use EmberDusk\Joining\Belief\LightSuspects;
use EmberDusk\Joining\Belief\Suspect;
use EmberDusk\Joining\Families\Cloud\Simulation\SimulatedCloudBoard as Simulation;
use EmberDusk\Joining\Families\Receiver\ReceiverFamily;
use EmberDusk\Joining\Family;
use EmberDusk\Joining\FamilyFact;
use EmberDusk\Joining\Observation;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Simulation\SimulatedDevice;
use EmberDusk\Joining\Simulation\SimulatedSite;
use EmberDusk\Joining\StepBuilder;
use EmberDusk\Joining\Task;
use EmberDusk\Joining\Unit;

/** Wi-Fi controllers that work through an account on the internet: the client owns it, and without the internet nothing answers. */
final readonly class CloudFamily implements Family
{
    public function key(): string
    {
        return 'cloud';
    }

    public function takes(string $role, string $way): bool
    {
        return $role === Unit::LIGHT && $way === 'wifi';
    }

    public function facts(Unit $unit): array
    {
        return [FamilyFact::CanMiss, FamilyFact::Account, FamilyFact::SiteNetwork, FamilyFact::Internet];
    }

    public function missing(Unit $unit, Roster $roster): array
    {
        return StepBuilder::missing($unit, [
            'reset' => 'the gesture that starts its search',
            'resetDone' => 'its signal while it searches',
            'joined' => 'its signal once it is on the network',
        ]);
    }

    public function tasks(Roster $roster): array
    {
        return StepBuilder::byPhone($this->key(), $roster);
    }

    public function steps(Task $task, Roster $roster, array $dropped = []): array
    {
        $unit = $roster->unit($task->device);
        $label = $unit->label();

        return [
            StepBuilder::gesture(
                task: $task,
                kind: 'look',
                unit: $unit,
                name: 'reset',
                signal: 'resetDone',
                why: "{$label} forgets its network and looks for the app.",
                ifNot: 'No response: check its power, then repeat the gesture evenly.',
            ),
            StepBuilder::tap(
                task: $task,
                kind: 'give',
                unit: $unit,
                key: 'give',
                title: "Give {$label} network and account in the app; the client signs in and types the password",
                why: 'The client owns the account. No password and no token is written down here.',
                says: 'joined',
                watch: $unit,
                waits: 20.0,
                retry: 'look',
                ifNot: 'No response: check the phone’s network, the internet and the account, in this order.',
            ),
            StepBuilder::tap(
                task: $task,
                kind: 'live',
                unit: $unit,
                key: 'live',
                title: 'Choose the kind of light; does the app show it live?',
                why: 'It does not work without the internet: add a control that does not need it.',
                says: 'live',
                expects: 'the app shows it live',
            ),
        ];
    }

    public function suspects(Task $task, Roster $roster): array
    {
        $unit = $roster->unit($task->device);
        $nothing = ['give' => Observation::Nothing, 'live' => Observation::Nothing, 'accept' => Observation::Nothing];

        return [
            ...(new LightSuspects($unit))->for(),
            ReceiverFamily::network(['give' => Observation::Nothing]),
            new Suspect(
                code: 'offline',
                device: $unit->id,
                shows: $nothing,
                says: 'the site has no internet',
                check: 'Open any page on the phone, over the site’s network. If it does not load, fix the router first.',
                seconds: 8.0,
            ),
            new Suspect(
                code: 'no-account',
                device: $unit->id,
                shows: ['give' => Observation::Nothing],
                says: 'the account is not signed in, or has no rights for this',
                check: 'Open the account in the app: is the client signed in, as its owner?',
                seconds: 12.0,
            ),
            new Suspect(
                code: 'wrong-style',
                device: $unit->id,
                shows: ['accept' => Observation::Wrong],
                says: "another kind of light was chosen in the app for {$unit->label()}",
                check: "Read the kind of {$unit->label()} in the app: it must match the strip.",
                seconds: 8.0,
                again: Suspect::STEP,
            ),
        ];
    }

    public function simulated(Unit $unit, SimulatedSite $site): SimulatedDevice
    {
        return new Simulation($unit, $site);
    }
}
