<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Plan\Fitting;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;

/** A plan with some runs, what hangs with them, and nothing else: solving it touches nothing else. */
final readonly class PlanExcerpt
{
    /** @param  list<string>  $ids */
    public static function for(Plan $plan, array $ids): Plan
    {
        $runs = array_intersect_key($plan->runs, array_fill_keys($ids, true));
        $units = [];
        foreach ($runs as $run) {
            $units[$run->supply ?? ''] = $units[$run->controller ?? ''] = true;
            $units[$plan->supplies[$run->supply ?? '']->bank ?? ''] = true;
        }
        $feeds = array_filter($plan->feeds, static fn($f): bool => isset($runs[$f->run]));
        $ways = [];
        foreach ([...array_keys($feeds), ...array_keys($units)] as $end) {
            $ways += $plan->ways()->wayTo((string) $end);
        }
        $lamps = array_filter(
            $plan->fixtures,
            static fn(Fitting $f): bool => isset(
                $units[(string) $plan->ways()->root($plan->ways()->cableTo($f->id)->from ?? '')],
            ),
        );
        foreach (array_keys($lamps) as $end) {
            $ways += $plan->ways()->wayTo($end);
        }
        $splices = array_filter(
            $plan->splices,
            static fn($s): bool => array_filter($ways, static fn(LaidCable $c): bool => $c->to === $s->id) !== [],
        );

        return $plan->with(
            runs: $runs,
            supplies: array_intersect_key($plan->supplies, $units),
            controllers: array_intersect_key($plan->controllers, $units),
            modules: [],
            fixtures: $lamps,
            splices: $splices,
            feeds: $feeds,
            cables: $ways,
            lights: array_intersect_key($plan->lights, $units),
            owned: [],
            options: [],
        );
    }
}
