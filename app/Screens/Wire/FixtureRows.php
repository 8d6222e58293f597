<?php

declare(strict_types=1);

namespace App\Screens\Wire;

use EmberDusk\Job\JobState;
use EmberDusk\Kit\Dimmer;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Plan\Changes\Kit\ChooseModule;
use EmberDusk\Plan\Changes\Kit\HangFixture;

/** The job's fixtures, each with the modules and supplies that could feed and dim it. */
final readonly class FixtureRows
{
    /** @return list<array<string, mixed>> as in app/Screens/Wire/wire.json, $defs/fixtureRow */
    public static function for(JobState $state): array
    {
        $plan = $state->plan;
        $rows = [];
        foreach ($plan->fixtures as $id => $fitting) {
            $fixture = $plan->fixture($fitting->kit);
            $result = $state->fitting($id);
            $cable = $plan->cableTo($id);
            if ($fixture === null) {
                continue;
            }
            $module = $plan->module($fitting->module);
            $dim = !$fixture->lowVoltage() ? Dimmer::DIMS[$fixture->dim] ?? $fixture->dim : 'low voltage';
            $note =
                $fixture->dim === Dimmer::DIMS['dali']
                    ? 'The bus is at most 300 m long at 1.5 mm² and loses at most 2 V (IEC 62386, from memory).'
                    : '';
            $volts = $result !== null ? sprintf('%.2f', $result->volts) : '';
            if ($fixture->lowVoltage()) {
                $choices = self::supplies($state, $id);
            } else {
                $choices = self::modules($state, $id, $fixture->dim);
            }
            $rows[] = [
                'id' => $id,
                'kit' => $fitting->kit,
                'name' => $fixture->name(),
                'place' => $plan->places[$fitting->place]->name ?? '',
                'placeId' => $fitting->place,
                'count' => $fitting->count,
                'watts' => sprintf('%g', $fitting->count * $fixture->watts),
                'dim' => $dim,
                'on' => $fixture->lowVoltage() ? strtoupper($cable->from ?? '') : $module?->name() ?? '',
                'note' => $note,
                'volts' => $volts,
                'choices' => $choices,
            ];
        }

        return $rows;
    }

    /** @return list<array{label: string, change: array<string, mixed>}> */
    private static function supplies(JobState $state, string $fitting): array
    {
        $cable = null;
        foreach ($state->shelf->ofKind('cable') as $snapshot) {
            $cable ??=
                $snapshot->entry instanceof \EmberDusk\Kit\Cable &&
                $snapshot->entry->cores === 2 &&
                $snapshot->entry->conductor->system === $state->plan->terms->wire &&
                $snapshot->entry->conductor->capacity !== null
                    ? $snapshot->entry->id()
                    : null;
        }
        if ($cable === null) {
            return [];
        }

        return array_map(
            static fn(string $id): array => [
                'label' => 'Connect to ' . strtoupper($id),
                'change' => HangFixture::payload(
                    fixture: $fitting,
                    on: $id,
                    kit: $state->plan->cableTo($fitting)->kit ?? $cable,
                )->write(),
            ],
            array_keys($state->plan->supplies),
        );
    }

    /** @return list<array{label: string, change: array<string, mixed>}> */
    private static function modules(JobState $state, string $fitting, string $dim): array
    {
        $choices = [];
        foreach (array_keys($state->plan->modules) as $id) {
            if ($state->plan->module($id)?->dims() === $dim) {
                $choices[] = [
                    'label' => 'Under ' . strtoupper($id),
                    'change' => ChooseModule::payload(fixture: $fitting, module: $id)->write(),
                ];
            }
        }
        $kinds = array_merge(
            ...array_map(static fn(string $kind): array => $state->shelf->ofKind($kind), array_keys(Dimmer::DIMS)),
        );
        foreach (
            array_filter(
                $kinds,
                static fn(KitSnapshot $f): bool => $f->entry instanceof Dimmer && $f->entry->dims() === $dim,
            )
            as $snapshot
        ) {
            $choices[] = [
                'label' => 'Take ' . $snapshot->entry->name(),
                'change' => ChooseModule::payload(fixture: $fitting, kit: $snapshot->entry->id())->write(),
            ];
        }

        return $choices;
    }
}
