<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\Mesh;

use EmberDusk\Joining\Belief\LightSuspects;
use EmberDusk\Joining\Belief\Suspect;
use EmberDusk\Joining\Families\Mesh\Simulation\SimulatedMeshNode;
use EmberDusk\Joining\Family;
use EmberDusk\Joining\FamilyFact;
use EmberDusk\Joining\Observation;
use EmberDusk\Joining\OrderRule;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Simulation\SimulatedDevice;
use EmberDusk\Joining\Simulation\SimulatedSite;
use EmberDusk\Joining\StepBuilder;
use EmberDusk\Joining\Task;
use EmberDusk\Joining\Unit;

/** Bluetooth mesh controllers: their gesture answers a search of the app; each node repeats for the next, so they join from the phone outwards. */
final readonly class MeshFamily implements Family
{
    /** Metres from node to node where no instructions say. Common practice (20 to 30 m), no source. */
    private const RANGE = 25.0;

    public function key(): string
    {
        return 'mesh';
    }

    public function takes(string $role, string $way): bool
    {
        return $role === Unit::LIGHT && $way === 'mesh';
    }

    public function facts(Unit $unit): array
    {
        return [FamilyFact::CanMiss];
    }

    public function missing(Unit $unit, Roster $roster): array
    {
        return StepBuilder::missing($unit, [
            'reset' => 'its reset gesture',
            'join' => 'the gesture that answers the search',
            'joined' => 'its signal once it has joined',
        ]);
    }

    public function tasks(Roster $roster): array
    {
        $left = array_values(
            array_filter(
                array_map(static fn($w): string => $w->light, $roster->wantsOf(Roster::PHONE)),
                fn(string $l): bool => $roster->unit($l)->family === $this->key(),
            ),
        );
        $tasks = [];
        $in = [];
        // From the phone outwards: the nearest to a joined node is next.
        while ($left !== []) {
            usort(
                $left,
                static fn(string $a, string $b): int => [self::away($a, $in, $roster), $a] <=> [
                    self::away($b, $in, $roster),
                    $b,
                ],
            );
            $light = array_shift($left);
            $in[] = $light;
            $tasks[] = new Task($this->key(), Task::JOIN, $light, Roster::PHONE, search: Roster::PHONE);
        }

        return $tasks;
    }

    /** @param  list<string>  $in */
    private static function away(string $light, array $in, Roster $roster): float
    {
        if ($in === []) {
            return 0.0;
        }

        return min(array_map(static fn(string $n): float => $roster->metres($n, $light), $in));
    }

    public function steps(Task $task, Roster $roster, array $dropped = []): array
    {
        $unit = $roster->unit($task->device);
        $steps = [];
        if (!in_array(OrderRule::ResetFirst, $dropped, true) && ($unit->used || !$roster->school->trustsNew)) {
            $steps[] = StepBuilder::gesture(
                task: $task,
                kind: 'reset',
                unit: $unit,
                name: 'reset',
                signal: 'resetDone',
                why: "{$unit->label()} leaves its former mesh.",
                ifNot: 'No response: check its power, then repeat the gesture evenly.',
            );
        }

        return [
            ...$steps,
            StepBuilder::gesture(
                task: $task,
                kind: 'join',
                unit: $unit,
                name: 'join',
                signal: 'joined',
                why: sprintf(
                    'It answers the app’s search. A node every %g m, or the mesh breaks there.',
                    $unit->leaflet->figure('range') ?? self::RANGE,
                ),
                search: Roster::PHONE,
                searchFor: 6.0,
                ifNot: 'No response: move nearer to a joined node while the search runs.',
            ),
        ];
    }

    public function suspects(Task $task, Roster $roster): array
    {
        $unit = $roster->unit($task->device);

        return [
            ...(new LightSuspects($unit))->for(),
            ...(new LightSuspects($unit))->setting(),
            new Suspect(
                code: 'weak-mesh',
                device: $unit->id,
                shows: ['join' => Observation::Nothing],
                says: "{$unit->label()} is too far from the next node",
                check: sprintf(
                    'Pace out from %s to the next node that is in: more than %g m, or stone or metal between, needs one more node.',
                    $unit->label(),
                    $unit->leaflet->figure('range') ?? self::RANGE,
                ),
                seconds: 40.0,
                again: Suspect::STEP,
            ),
        ];
    }

    public function simulated(Unit $unit, SimulatedSite $site): SimulatedDevice
    {
        return new SimulatedMeshNode($unit, $site);
    }
}
