<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/** Cables to the pads of a run: one kind of the shelf for all, or the pinned ones. */
final readonly class TailCables
{
    /**
     * @param  list<int>  $pads
     * @return list<non-empty-list<KitSnapshot>> one cable for all pads, or one for each
     */
    public static function for(Plan $plan, PricedShelf $priced, Run $run, int $cores, array $pads): array
    {
        if (!in_array('cables', $run->pins, true)) {
            return array_map(static fn(KitSnapshot $f): array => [$f], $priced->cables($cores));
        }
        $now = [];
        foreach ($plan->ways()->feedsOf($run) as $feed) {
            $kit = $plan->kit[$plan->ways()->cableTo($feed->id)->kit ?? ''] ?? null;
            if ($kit !== null) {
                $now[$feed->pad] = $kit;
            }
        }
        $first = array_values($now)[0] ?? null;
        $tails = $first !== null ? array_map(static fn(int $pad): KitSnapshot => $now[$pad] ?? $first, $pads) : [];

        if ($tails === []) {
            return [];
        }

        return [$tails];
    }
}
