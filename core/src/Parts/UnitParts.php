<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\MainsWay;
use EmberDusk\Plan\Run;
use EmberDusk\Survey\TapeNotes;

/** Supplies, controllers, hubs, modules and fixtures of the parts list, and mains cable to supplies. */
final readonly class UnitParts
{
    public static function add(Plan $plan, FirstForPurpose $uses, PartsDemand $wanted): void
    {
        self::units($plan, $wanted);
        self::mains($plan, $uses, $wanted);
        self::items($plan, $wanted);
        self::blanks($plan, $uses, $wanted);
    }

    /** A plate where something is taken out. */
    private static function blanks(Plan $plan, FirstForPurpose $uses, PartsDemand $wanted): void
    {
        foreach ($plan->places as $place) {
            foreach (TapeNotes::read($place->notes)->site->present as $present) {
                if ($present->kind === 'now' && $present->out === true) {
                    $wanted->add(
                        kit: $uses->consumable('blanks'),
                        group: 'Fixing',
                        count: $present->count,
                        unit: 'piece',
                        why: "replaces {$present->what}, {$place->name}",
                    );
                }
            }
        }
    }

    private static function items(Plan $plan, PartsDemand $wanted): void
    {
        foreach ($plan->items as $id => $item) {
            $kit = $plan->kit[$item->kit] ?? null;
            $beside = $kit?->beside();
            $runs = isset($plan->runs[$item->on ?? '']) ? [(string) $item->on] : [];
            $wanted->add(
                kit: $kit,
                group: $beside->parts ?? '',
                count: $beside?->clients === true ? 0.0 : (float) $item->count,
                unit: 'piece',
                why: strtoupper((string) $id) .
                    ' at ' .
                    ($plan->places[$item->place]->name ?? '') .
                    ($item->on === null
                        ? ''
                        : ', with ' .
                            (isset($plan->runs[$item->on]) ? $plan->runs[$item->on]->name() : strtoupper($item->on))),
                runs: $runs,
            );
        }
    }

    private static function units(Plan $plan, PartsDemand $wanted): void
    {
        $hangs = [];
        foreach ($plan->runs as $run) {
            foreach ($plan->ways()->unitsOf($run) as $unit) {
                $hangs[$unit][$run->id] = $run;
            }
        }
        foreach (
            [
                'Supply' => $plan->supplies,
                'Controller' => $plan->controllers,
                'Hub' => $plan->hubs,
                'Module' => $plan->modules,
            ]
            as $group => $units
        ) {
            foreach ($units as $id => $unit) {
                $on = $hangs[$id] ?? [];
                $names = implode(', ', array_map(static fn(Run $r): string => $r->name(), $on));
                $count = !$unit->there ? (float) ($unit->series * $unit->parallel) : 0.0;
                $wanted->add(
                    kit: $plan->kit[$unit->kit] ?? null,
                    group: $group,
                    count: $count,
                    unit: 'piece',
                    why: strtoupper($id) .
                        ($names === '' ? '' : " for {$names}") .
                        ($unit->where() === '' ? '' : " at {$unit->where()}"),
                    runs: array_keys($on),
                );
            }
        }
        foreach ($plan->fixtures as $id => $fitting) {
            $wanted->add(
                kit: $plan->kit[$fitting->kit] ?? null,
                group: 'Fixture',
                count: (float) $fitting->count,
                unit: 'piece',
                why: strtoupper($id) . ' at ' . ($plan->places[$fitting->place]->name ?? ''),
            );
        }
    }

    /** Cable from the nearest outlet to a supply away from outlets. */
    private static function mains(Plan $plan, FirstForPurpose $uses, PartsDemand $wanted): void
    {
        foreach ($plan->supplies as $id => $supply) {
            $way = MainsWay::to($plan, $supply);
            if ($way?->outlet !== null) {
                $wanted->add(
                    kit: $uses->mains(),
                    group: 'Cable',
                    count: $way->metres,
                    unit: 'm',
                    why: strtoupper($id) . ": mains from {$way->outlet}, laid by a licensed person",
                );
            }
        }
    }
}
