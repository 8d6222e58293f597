<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/** What conductors join: runs that share a supply, directly or through a controller, or that one run feeds from both. */
final readonly class Island
{
    /**
     * @param  non-empty-array<string, Parts>  $parts  by run
     * @param  non-empty-list<string>  $supplies  ids; the first one's minus is node 0
     * @param  list<string>  $controllers  ids
     */
    private function __construct(public array $parts, public array $supplies, public array $controllers)
    {
    }

    /** The island of a run; null while the run lacks parts. */
    public static function of(Plan $plan, Run $run): ?self
    {
        foreach (self::all($plan) as $island) {
            if (isset($island->parts[$run->id])) {
                return $island;
            }
        }

        return null;
    }

    /** @return list<self> in the order of their first runs */
    public static function all(Plan $plan): array
    {
        $islands = [];
        foreach ($plan->runs as $id => $run) {
            $parts = Parts::of($plan, $run);
            if ($parts === null) {
                continue;
            }
            $supplies = self::feeding($plan, $parts);
            $joined = ['parts' => [$id => $parts], 'supplies' => $supplies];
            foreach ($islands as $n => $other) {
                if (array_intersect_key($other['supplies'], $joined['supplies']) !== []) {
                    $joined = ['parts' => $other['parts'] + $joined['parts'], 'supplies' => $other['supplies'] + $joined['supplies']];
                    unset($islands[$n]);
                }
            }
            $islands[] = $joined;
        }

        return array_values(array_filter(array_map(static fn (array $i): ?self => self::made($i['parts'], array_keys($i['supplies'])), $islands)));
    }

    /** @return array<string, LaidCable> by id, each after those that it hangs on */
    public function cables(Plan $plan): array
    {
        $cables = [];
        foreach ($this->parts as $parts) {
            if ($parts->trunk !== null) {
                $cables += array_reverse($plan->wayTo($parts->trunk->to), true);
            }
        }
        foreach ($this->parts as $parts) {
            foreach (array_keys($parts->tails) as $feed) {
                $cables += array_reverse($plan->wayTo($feed), true);
            }
        }

        return $cables;
    }

    /**
     * @param  array<string, Parts>  $parts
     * @param  list<string>  $supplies
     */
    private static function made(array $parts, array $supplies): ?self
    {
        sort($supplies, SORT_NATURAL);
        $controllers = [];
        foreach ($parts as $of) {
            if ($of->controller !== null && $of->run->controller !== null) {
                $controllers[$of->run->controller] = true;
            }
        }

        return $parts === [] || $supplies === [] ? null : new self($parts, $supplies, array_keys($controllers));
    }

    /** @return array<string, true> ids of the supplies that a run hangs on: its own, and those that cables to its feeds begin at */
    private static function feeding(Plan $plan, Parts $parts): array
    {
        $supplies = [(string) $parts->run->supply => true];
        foreach ($parts->tails as $tail) {
            $root = $plan->root($tail->from);
            if ($root !== null && isset($plan->supplies[$root])) {
                $supplies[$root] = true;
            }
        }

        return $supplies;
    }
}
