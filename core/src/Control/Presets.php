<?php

declare(strict_types=1);

namespace EmberDusk\Control;

use EmberDusk\Joining\Ability;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\RosterOfPlan;
use EmberDusk\Joining\StoredPreset;
use EmberDusk\Joining\TimingMethod;
use EmberDusk\Joining\Unit;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Scene;

/**
 * Scenes packed into the presets that apps, remotes and panels hold: as many scenes as possible have a preset at a control that works all
 * their lights (augmenting paths: no other packing keeps more).
 */
final readonly class Presets
{
    /** Presets of an app whose instructions give no limit. */
    public const LIMITLESS = PHP_INT_MAX;

    /**
     * @param  array<string, list<string>>  $kept  scenes by control, in the order of its presets
     * @param  list<string>  $left  scenes that no preset is left for, or whose lights no control works together
     * @param  array<string, int>  $room  presets of each control
     */
    private function __construct(public array $kept, public array $left, public array $room, public Roster $roster) {}

    public static function for(Plan $plan): self
    {
        $roster = RosterOfPlan::for($plan, new TimingMethod());
        $room = $can = [];
        foreach ($roster->units as $unit) {
            $presets = $unit->leaflet->figure('presets');
            if ($presets !== null) {
                $room[$unit->id] = (int) $presets;
            }
        }
        // A hub or bridge stores scenes in its app; without a stated limit there is room, after those that need no phone.
        foreach ($roster->inRole(Unit::HUB) + $roster->inRole(Unit::BRIDGE) as $id => $unit) {
            $room += [$id => self::LIMITLESS];
        }
        foreach ($plan->scenes as $scene) {
            $can[$scene->id] = array_values(
                array_filter(
                    array_keys($room),
                    static fn(string $c): bool => self::worksAll($plan, $roster, $c, $scene),
                ),
            );
        }
        // Those that play on most lights first: they are missed most.
        $order = array_keys($can);
        usort(
            $order,
            static fn(string $a, string $b): int => [count($plan->scenes[$b]->levels), $a] <=> [
                count($plan->scenes[$a]->levels),
                $b,
            ],
        );
        $at = [];
        foreach ($order as $scene) {
            $tried = [];
            self::seat($scene, $can, $room, $at, $tried);
        }
        $kept = array_fill_keys(array_keys($room), []);
        foreach ($order as $scene) {
            if (isset($at[$scene])) {
                $kept[$at[$scene]][] = $scene;
            }
        }
        $left = array_values(array_map(strval(...), array_diff(array_keys($can), array_keys($at))));

        return new self($kept, $room === [] ? [] : $left, $room, $roster);
    }

    /** @return list<StoredPreset> scenes to store on site */
    public function stored(Plan $plan): array
    {
        $stored = [];
        foreach ($this->kept as $control => $scenes) {
            foreach ($scenes as $n => $id) {
                $levels = [];
                foreach ($plan->scenes[$id]->levels as $light => $duties) {
                    $levels[self::unit($plan, $this->roster, (string) $light)->id ?? ''] =
                        array_sum($duties) / max(1, count($duties));
                }
                // Segments of one board are set in its own page: no control of the joined devices shows them one by one.
                if (count($levels) === count($plan->scenes[$id]->levels)) {
                    $stored[] = new StoredPreset($control, $n + 1, $plan->scenes[$id]->name, $levels);
                }
            }
        }

        return $stored;
    }

    private static function worksAll(Plan $plan, Roster $roster, string $control, Scene $scene): bool
    {
        foreach (array_keys($scene->levels) as $light) {
            $unit = self::unit($plan, $roster, (string) $light);
            // A controller stores scenes of one light, a remote those of all its lights.
            if ($unit === null || ($unit->id !== $control && !$roster->wants($control, $unit->id))) {
                return false;
            }
            // A control that only dims cannot store a colour or a white.
            if (
                $unit->id !== $control &&
                Ability::missing($unit->kind, $roster->abilities($control, $unit->id)) !== ''
            ) {
                return false;
            }
        }

        return $scene->levels !== [];
    }

    /** The device of a scene's light: a controller, or the board of a pixel run or segment. */
    private static function unit(Plan $plan, Roster $roster, string $light): ?Unit
    {
        return $roster->units[$plan->pixelRun($light)->controller ?? $light] ?? null;
    }

    /**
     * @param  array<string, list<string>>  $can  controls that could keep a scene
     * @param  array<string, int>  $room
     * @param  array<string, string>  $at  where each scene is kept so far
     * @param  array<string, true>  $tried  controls that were looked at for this one
     */
    private static function seat(string $scene, array $can, array $room, array &$at, array &$tried): bool
    {
        foreach ($can[$scene] as $control) {
            if (count(array_keys($at, $control, true)) < $room[$control]) {
                $at[$scene] = $control;

                return true;
            }
        }
        foreach ($can[$scene] as $control) {
            if (isset($tried[$control])) {
                continue;
            }
            $tried[$control] = true;
            foreach (array_keys($at, $control, true) as $other) {
                if (self::seat((string) $other, $can, $room, $at, $tried)) {
                    $at[$scene] = $control;

                    return true;
                }
            }
        }

        return false;
    }
}
