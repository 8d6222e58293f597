<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Kit\Control;
use EmberDusk\Kit\ControlWay;
use EmberDusk\Kit\Hub;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Plan\Device;
use EmberDusk\Plan\Item;
use EmberDusk\Plan\Plan;

/** Whether a hub, remote or panel of the shelf can control a light of a job, judged with it put into the plan. */
final readonly class ControlFit
{
    private const CANDIDATE = 'candidate';

    /** Reason why it controls no light of the job; null where it does, where the job has no light yet, and for other kit. */
    public static function misfit(Plan $plan, KitSnapshot $kit): ?string
    {
        $entry = $kit->entry;
        $kept = [$entry->id() => $kit] + $plan->kit;
        if ($entry instanceof Hub) {
            $plan = $plan->with(hubs: [self::CANDIDATE => new Device(self::CANDIDATE, $entry->id())], kit: $kept);
        } elseif ($entry instanceof Control && in_array($entry->beside()?->role, [Unit::REMOTE, Unit::PANEL], true)) {
            $place = (string) array_key_first($plan->places);
            $item = new Item(id: self::CANDIDATE, kit: $entry->id(), place: $place, count: 1);
            $plan = $plan->with(items: [self::CANDIDATE => $item] + $plan->items, kit: $kept);
        } else {
            return null;
        }
        $units = RosterOfPlan::for($plan, new TimingMethod())->units;
        $lights = array_filter($units, static fn(Unit $u): bool => $u->lights());
        $control =
            array_values(array_filter($units, static fn(Unit $u): bool => $u->item === self::CANDIDATE))[0] ?? null;
        if ($control === null || $lights === []) {
            return null;
        }
        $planned = new PlannedControls($plan, $units);
        foreach ($lights as $light) {
            if ($planned->cannot($control, $light) === null) {
                return null;
            }
        }
        $words = static fn(string $way): string => ControlWay::tryFrom($way)?->word() ?? $way;
        $ways = array_values(array_unique(array_map(static fn(Unit $u): string => $u->way, $lights)));
        if (in_array($control->way, $ways, true)) {
            return 'Can neither set nor dim the kind of light that this job has.';
        }

        return "Speaks {$words($control->way)}; the lights of this job speak " .
            implode(' and ', array_map($words, $ways)) .
            '.';
    }
}
