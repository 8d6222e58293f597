<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\MainsWay;
use EmberDusk\Plan\Run;
use EmberDusk\Survey\WallNotes;

/** Supplies, controllers, hubs, modules and fixtures of the parts list, and mains cable to supplies. */
final readonly class UnitParts
{
    private function __construct(private Plan $plan, private PartsDemand $wanted) {}

    public static function add(Plan $plan, FirstForPurpose $uses, PartsDemand $wanted): void
    {
        (new self($plan, $wanted))->addAll($uses);
    }

    private function addAll(FirstForPurpose $uses): void
    {
        $this->units();
        $this->mains($uses);
        $this->items();
        $this->blanks($uses);
    }

    /** A plate where something is taken out. */
    private function blanks(FirstForPurpose $uses): void
    {
        foreach ($this->plan->places as $place) {
            foreach (WallNotes::read($place->notes)->site->present as $present) {
                if ($present->kind === 'now' && $present->out === true) {
                    $this->wanted->add(
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

    private function items(): void
    {
        foreach ($this->plan->items as $id => $item) {
            $kit = $this->plan->kit[$item->kit] ?? null;
            $beside = $kit?->beside();
            $runs = isset($this->plan->runs[$item->on ?? '']) ? [(string) $item->on] : [];
            $this->wanted->add(
                kit: $kit,
                group: $beside->parts ?? '',
                count: $beside?->clients === true ? 0.0 : (float) $item->count,
                unit: 'piece',
                why: strtoupper((string) $id) .
                    ' at ' .
                    ($this->plan->places[$item->place]->name ?? '') .
                    ($item->on === null
                        ? ''
                        : ', with ' .
                            (isset($this->plan->runs[$item->on])
                                ? $this->plan->runs[$item->on]->name()
                                : strtoupper($item->on))),
                runs: $runs,
            );
        }
    }

    private function units(): void
    {
        $hangs = [];
        foreach ($this->plan->runs as $run) {
            foreach ($this->plan->ways()->unitsOf($run) as $unit) {
                $hangs[$unit][$run->id] = $run;
            }
        }
        foreach (
            [
                'Supply' => $this->plan->supplies,
                'Controller' => $this->plan->controllers,
                'Hub' => $this->plan->hubs,
                'Module' => $this->plan->modules,
            ]
            as $group => $units
        ) {
            foreach ($units as $id => $unit) {
                $on = $hangs[$id] ?? [];
                $names = implode(', ', array_map(static fn(Run $r): string => $r->name(), $on));
                $count = !$unit->there ? (float) ($unit->series * $unit->parallel) : 0.0;
                $this->wanted->add(
                    kit: $this->plan->kit[$unit->kit] ?? null,
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
        foreach ($this->plan->fixtures as $id => $fitting) {
            $this->wanted->add(
                kit: $this->plan->kit[$fitting->kit] ?? null,
                group: 'Fixture',
                count: (float) $fitting->count,
                unit: 'piece',
                why: strtoupper($id) . ' at ' . ($this->plan->places[$fitting->place]->name ?? ''),
            );
        }
    }

    /** Cable from the nearest outlet to a supply away from outlets. */
    private function mains(FirstForPurpose $uses): void
    {
        foreach ($this->plan->supplies as $id => $supply) {
            $way = MainsWay::to($this->plan, $supply);
            if ($way?->lead === true) {
                $this->wanted->add(
                    kit: $uses->consumable('plugs'),
                    group: 'Supply',
                    count: 1.0,
                    unit: 'piece',
                    why: strtoupper($id) . " at outlet {$supply->stands?->spot}: mains lead with plug",
                );
            }
            if ($way?->outlet !== null) {
                $this->wanted->add(
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
