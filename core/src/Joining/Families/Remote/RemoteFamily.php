<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\Remote;

use EmberDusk\Joining\Belief\Suspect;
use EmberDusk\Joining\Families\Remote\Simulation\SimulatedRemote as Simulation;
use EmberDusk\Joining\Family;
use EmberDusk\Joining\FamilyFact;
use EmberDusk\Joining\LinkGroup;
use EmberDusk\Joining\Observation;
use EmberDusk\Joining\OrderRule;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Simulation\SimulatedDevice;
use EmberDusk\Joining\Simulation\SimulatedSite;
use EmberDusk\Joining\StepBuilder;
use EmberDusk\Joining\Task;
use EmberDusk\Joining\Unit;
use EmberDusk\Plan\Source;

/** Zigbee remotes and wall panels as members of a hub's network: they sleep, and look for it only after their own gesture. */
final readonly class RemoteFamily implements Family
{
    public const KEY = 'remote';

    public function key(): string
    {
        return self::KEY;
    }

    public function takes(string $role, string $way): bool
    {
        return in_array($role, [Unit::REMOTE, Unit::PANEL], true) && $way === 'zigbee';
    }

    public function facts(Unit $unit): array
    {
        return [FamilyFact::FormsNetwork];
    }

    public function missing(Unit $unit, Roster $roster): array
    {
        $join = [
            'join' => 'its join gesture',
            'joined' => 'its signal once it has joined',
            'listens' => 'how long it looks',
        ];
        if (LinkGroup::hub($unit, $roster) === null) {
            $join = [];
        }

        return StepBuilder::missing($unit, [
            'reset' => 'its reset gesture',
            'link' => 'its link gesture',
            'near' => 'the distance for the link',
            ...$join,
        ]);
    }

    public function tasks(Roster $roster): array
    {
        $tasks = [];
        foreach ($roster->units as $unit) {
            if ($unit->family !== $this->key() || $unit->member !== '' || $roster->wantsOf($unit->id) === []) {
                continue;
            }
            $hub = LinkGroup::hub($unit, $roster);
            $tasks[] =
                $hub === null
                    ? new Task($this->key(), Task::SETUP, $unit->id)
                    : new Task($this->key(), Task::JOIN, $unit->id, $hub->id, search: $hub->id);
        }

        return $tasks;
    }

    public function steps(Task $task, Roster $roster, array $dropped = []): array
    {
        $unit = $roster->unit($task->device);
        $steps = [];
        if (!in_array(OrderRule::ResetFirst, $dropped, true) && ($unit->used || !$roster->school->trustsNew)) {
            $caution = self::wired($unit) ? 'A panel on mains: a licensed person fixes it, local rules decide.' : '';
            $steps[] = StepBuilder::gesture(
                task: $task,
                kind: 'reset',
                unit: $unit,
                name: 'reset',
                signal: 'resetDone',
                why: "{$unit->label()} loses its former links.",
                ifNot: self::wired($unit)
                    ? 'No light: it has no mains. A licensed person checks the wiring behind it.'
                    : 'No light: replace the battery, then try again.',
                caution: $caution,
            );
        }
        if ($task->other !== '') {
            $steps[] = StepBuilder::gesture(
                task: $task,
                kind: 'join',
                unit: $unit,
                name: 'join',
                signal: 'joined',
                why: 'Join the hub’s network first, then link: the other way round only one of the two works.' .
                    self::searching($unit),
                waits: $unit->leaflet->seconds('listens'),
                search: $task->other,
                searchFor: $unit->leaflet->seconds('takesMost') + ($unit->leaflet->gesture('join')?->takes() ?? 0.0),
                ifNot: 'Without this signal it has not joined, whatever the app shows.',
            );
        }

        return $steps;
    }

    /** Its lamp while it searches: not yet the sign. */
    private static function searching(Unit $unit): string
    {
        $looks = $unit->leaflet->signal('looks');

        return $looks === null ? '' : " While it searches, its lamp shows {$looks->words()}: keep looking.";
    }

    public function suspects(Task $task, Roster $roster): array
    {
        return [...self::flat($roster->unit($task->device)), ...$this->joins($task, $roster)];
    }

    /** Whether it is a panel on mains: it has no battery. */
    private static function wired(Unit $unit): bool
    {
        return $unit->role === Unit::PANEL && $unit->source === Source::Mains;
    }

    /** @return list<Suspect> */
    public static function flat(Unit $unit): array
    {
        if (self::wired($unit)) {
            return [];
        }

        return [
            new Suspect(
                code: 'flat',
                device: $unit->id,
                shows: [
                    Suspect::LAMP => Observation::Nothing,
                    'link' => Observation::Nothing,
                    'zone' => Observation::Nothing,
                    'accept' => Observation::Nothing,
                ],
                says: "the battery of {$unit->label()} is flat",
                check: "Press any key of {$unit->label()}: does its lamp light? If not, put a new battery in.",
                seconds: 10.0,
                again: Suspect::DEVICES,
            ),
        ];
    }

    /** @return list<Suspect> */
    private function joins(Task $task, Roster $roster): array
    {
        $id = $task->device;
        $label = $roster->unit($id)->label();
        $suspects = [];
        if ($task->other !== '') {
            $suspects = [
                new Suspect(
                    code: 'not-joined',
                    device: $id,
                    shows: ['join' => Observation::Nothing],
                    says: "{$label} went back to sleep before it had joined",
                    check: "Wake {$label} by a key just before its gesture and keep it within a metre of the hub. Was it asleep or too far away?",
                    seconds: 20.0,
                    again: Suspect::STEP,
                ),
                new Suspect(
                    code: 'link-before-hub',
                    device: $id,
                    shows: ['join' => Observation::Nothing],
                    says: "{$label} was linked to a light before it joined the hub’s network, and formed its own network",
                    check: "Press on at {$label}: does a light answer already? Then reset both, and join before you link.",
                    seconds: 12.0,
                    again: Suspect::DEVICES,
                ),
            ];
        }
        if ($roster->school->trustsNew && !$roster->unit($id)->used) {
            $suspects[] = new Suspect(
                code: 'old-hub',
                device: $id,
                shows: ['join' => Observation::Nothing],
                says: "{$label} still belongs to another network",
                check: "Reset {$label} by its gesture, as if it had been used. If it blinks as reset, that was the cause.",
            );
        }

        return $suspects;
    }

    public function simulated(Unit $unit, SimulatedSite $site): SimulatedDevice
    {
        return new Simulation($unit, $site);
    }
}
