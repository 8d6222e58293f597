<?php

declare(strict_types=1);

namespace EmberDusk\Control;

use EmberDusk\Joining\Roster;
use EmberDusk\Joining\RosterOfPlan;
use EmberDusk\Joining\TimingMethod;
use EmberDusk\Joining\Unit;
use EmberDusk\Plan\Plan;

/** Capacity of apps and remotes besides zones and lights: rooms and presets, counted separately. */
final readonly class ControlLimits
{
    private function __construct(private Plan $plan) {}

    /** @return list<LimitClash> */
    public static function for(Plan $plan): array
    {
        return (new self($plan))->all();
    }

    /** @return list<LimitClash> */
    private function all(): array
    {
        $roster = RosterOfPlan::for($this->plan, new TimingMethod());
        $clashes = [];
        foreach ($roster->units as $unit) {
            $lights = array_map(static fn($w): string => $w->light, $roster->wantsOf($unit->id));
            if ($lights !== []) {
                $clashes = [
                    ...$clashes,
                    ...$this->rooms($roster, $unit, $lights),
                    ...$this->presets($unit, $lights),
                    ...Abilities::for($this->plan, $roster, $unit, $lights),
                ];
            }
        }

        return $clashes;
    }

    /**
     * @param  list<string>  $lights  that it works
     * @return list<LimitClash>
     */
    private function rooms(Roster $roster, Unit $unit, array $lights): array
    {
        $most = $unit->leaflet->figure('rooms');
        $rooms = [];
        foreach ($lights as $light) {
            $rooms[$this->plan->lights[$light]->room ?? $roster->unit($light)->room][] = $light;
        }
        if ($most === null || count($rooms) <= $most) {
            return [];
        }
        // The two that hold least are missed least.
        uasort($rooms, static fn(array $a, array $b): int => count($a) <=> count($b));
        $small = array_slice(array_keys($rooms), 0, 2);

        return [
            new LimitClash(
                LimitClash::ROOMS,
                $unit->item,
                sprintf('%s has %g rooms, %d are needed', $unit->called(), $most, count($rooms)),
                sprintf(
                    'Let “%s” and “%s” be one room in its app: they have the fewest lights. Or choose one with more rooms.',
                    $small[0],
                    $small[1] ?? $small[0],
                ),
            ),
        ];
    }

    /**
     * @param  list<string>  $lights  that it works
     * @return list<LimitClash>
     */
    private function presets(Unit $unit, array $lights): array
    {
        $most = $unit->leaflet->figure('presets');
        $mine = array_filter(
            $this->plan->scenes,
            static fn($s): bool => array_intersect(array_map(strval(...), array_keys($s->levels)), $lights) !== [],
        );
        if ($most === null || count($mine) <= $most) {
            return [];
        }
        $packed = Presets::for($this->plan);
        $kept = $packed->kept[$unit->id] ?? [];
        $elsewhere = array_values(
            array_filter(array_keys($mine), static fn(string $s): bool => !in_array($s, $kept, true)),
        );
        $named = fn(string ...$ids): string => implode(
            ', ',
            array_map(fn(string $s): string => $this->plan->scenes[$s]->name, $ids),
        );
        $says = [$kept === [] ? 'Store none of them in it' : "Store {$named(...$kept)} in it"];
        foreach ($packed->kept as $other => $scenes) {
            $there = array_values(array_intersect($scenes, $elsewhere));
            if ($there !== []) {
                $says[] = "{$named(...$there)} in {$packed->roster->unit((string) $other)->called()}";
            }
        }
        $nowhere = array_values(array_intersect($elsewhere, $packed->left));

        return [
            new LimitClash(
                LimitClash::PRESETS,
                $unit->item,
                sprintf('%s stores %g presets, %d scenes are planned', $unit->called(), $most, count($mine)),
                implode(', ', $says) .
                    '.' .
                    ($nowhere === []
                        ? ''
                        : ' No preset is left for ' .
                            $named(...$nowhere) .
                            ': set them by hand, or take one with more presets.'),
            ),
        ];
    }
}
