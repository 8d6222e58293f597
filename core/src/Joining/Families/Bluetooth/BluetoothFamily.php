<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\Bluetooth;

use EmberDusk\Joining\Belief\LightSuspects;
use EmberDusk\Joining\Belief\Suspect;
use EmberDusk\Joining\Families\Bluetooth\Simulation\SimulatedBluetoothController;
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

/** Bluetooth controllers that a phone works directly: quick while free, slow once connected, one phone at a time. */
final readonly class BluetoothFamily implements Family
{
    public function key(): string
    {
        return 'bluetooth';
    }

    public function takes(string $role, string $way): bool
    {
        return $role === Unit::LIGHT && $way === 'bluetooth';
    }

    public function facts(Unit $unit): array
    {
        return [FamilyFact::CanMiss, FamilyFact::OnePhone];
    }

    public function missing(Unit $unit, Roster $roster): array
    {
        return StepBuilder::missing($unit, ['joined' => 'its lamp after a phone has paired it']);
    }

    public function tasks(Roster $roster): array
    {
        return StepBuilder::byPhone($this->key(), $roster);
    }

    public function steps(Task $task, Roster $roster, array $dropped = []): array
    {
        $unit = $roster->unit($task->device);

        return [
            StepBuilder::tap(
                task: $task,
                kind: 'connect',
                unit: $unit,
                key: 'connect',
                title: "Connect {$unit->label()} in the app",
                why: 'One phone at a time: the app must be closed on every other. A PIN is asked for only if one was set.',
                says: 'joined',
                watch: $unit,
                waits: 8.0,
                ifNot: 'Its lamp stays quick: some are paired in the phone’s settings first, then in the app.',
                caution: 'Load an app from outside the phone’s store only from its maker; switch the permission for outside sources off again afterwards.',
            ),
            StepBuilder::tap(
                task: $task,
                kind: 'type',
                unit: $unit,
                key: 'type',
                title: 'Choose the kind of light, then order and count where the app asks',
                why: 'Kind first, then order, then count: before any scene.',
                says: 'typed',
                expects: 'the app shows the kind that the strip has',
            ),
        ];
    }

    public function suspects(Task $task, Roster $roster): array
    {
        $unit = $roster->unit($task->device);

        return [
            ...(new LightSuspects($unit))->for(),
            new Suspect(
                code: 'second-phone',
                device: $unit->id,
                shows: ['connect' => Observation::Nothing],
                says: "another phone has {$unit->label()}",
                check: "Does the lamp of {$unit->label()} blink slowly already? Another phone has it: close the app there.",
                seconds: 8.0,
            ),
            new Suspect(
                code: 'pin-set',
                device: $unit->id,
                shows: ['connect' => Observation::Nothing],
                says: "a PIN was set on {$unit->label()}",
                check: "Does the app ask for the PIN of {$unit->label()}? The client enters it; none is written down here.",
                seconds: 10.0,
                again: Suspect::STEP,
            ),
            new Suspect(
                code: 'wrong-style',
                device: $unit->id,
                shows: ['accept' => Observation::Wrong],
                says: "another kind of light was chosen in the app for {$unit->label()}",
                check: "Read the kind and the order of {$unit->label()} in the app: they must match the strip.",
                seconds: 8.0,
                again: Suspect::STEP,
            ),
            ReceiverFamily::leaves('the connection'),
        ];
    }

    public function simulated(Unit $unit, SimulatedSite $site): SimulatedDevice
    {
        return new SimulatedBluetoothController($unit, $site);
    }
}
