<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Plan\Run;

/** All ways to part runs into sets. */
final readonly class Partitions
{
    /**
     * @param  list<Run>  $runs
     * @return list<list<non-empty-list<Run>>> each set in the order of the ids, the sets by their first
     */
    public static function for(array $runs): array
    {
        $all = [[]];
        foreach ($runs as $run) {
            $next = [];
            foreach ($all as $sets) {
                foreach (array_keys($sets) as $n) {
                    $next[] = array_values(array_replace($sets, [$n => [...$sets[$n], $run]]));
                }
                $next[] = [...$sets, [$run]];
            }
            $all = $next;
        }

        return $all;
    }
}
