<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Splits;

use EmberDusk\Plan\Feed;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\CableWay;
use EmberDusk\Plan\Run;

/** The cables to feeds of a run connected to another unit; a former leg or branch becomes one cable. */
final readonly class ReconnectedCables
{
    /** @param  list<string>|null  $feeds  only these */
    public static function for(Plan $plan, Run $run, string $unit, ?array $feeds = null): Plan
    {
        $moved = [];
        foreach ($plan->ways()->feedsOf($run) as $feed) {
            $cable = $plan->ways()->cableTo($feed->id);
            if ($cable !== null && ($feeds === null || in_array($feed->id, $feeds, true))) {
                $way = array_sum(
                    array_map(static fn(LaidCable $c): float => $c->length, $plan->ways()->wayTo($feed->id)),
                );
                $direct = $cable->from($unit);
                $moved[$cable->id] = isset($plan->splices[$cable->from]) ? $direct->reckonedAs($way) : $direct;
            }
        }
        $plan = $plan->with(cables: $moved + $plan->cables);

        return CableWay::reckoned($plan, static fn(LaidCable $c): bool => isset($moved[$c->id]));
    }

    /** @return list<string> ids of the feeds of a run at or after a pad */
    public static function from(Plan $plan, Run $run, int $pad): array
    {
        return array_values(
            array_map(
                static fn(Feed $f): string => $f->id,
                array_filter($plan->ways()->feedsOf($run), static fn(Feed $f): bool => $f->pad >= $pad),
            ),
        );
    }
}
