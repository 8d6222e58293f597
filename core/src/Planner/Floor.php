<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Checks\Controller\ControllerAmps;
use EmberDusk\Costing\Bill;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\Supply;
use EmberDusk\Plan\Run;

/**
 * What no layout of some runs can be below, whoever shares with whom: the least feeding of each run, and units by the
 * watt and by the metre at the best price, as if they could be bought in slices.
 */
final readonly class Floor
{
    /** @param  non-empty-list<Run>  $runs */
    public static function of(Tables $tables, array $runs, Aim $aim): int
    {
        $rank = 0;
        $watts = 0.0;
        $kinds = [];
        foreach ($runs as $run) {
            $metres = $tables->plan->cutMarks($run)?->length() ?? 0.0;
            $strip = $tables->strip($run);
            $watts += $strip->wattsPerMetre() * $metres * $run->cap;
            if ($strip->switched()) {
                $kinds[$strip->id()][] = [$run, $metres];
            }
            $least = [];
            foreach ($tables->routes->places($runs, false) as $place) {
                $option = $tables->feeds($run, $place, $aim)[0] ?? null;
                $least[] = $option === null ? PHP_INT_MAX : $aim->rank($option->cost, $option->joints, 0);
            }
            $rank += $least === [] ? 0 : min($least);
        }
        $cost = 0.0;
        $each = [];
        foreach ($tables->supplies($runs, true) as $snapshot) {
            $supply = $snapshot->entry;
            $price = Bill::piece($tables->plan, $snapshot);
            $each[] =
                $supply instanceof Supply
                    ? max($price, ($price * $tables->plan->limits->rating($watts)) / $supply->ratedWatts())
                    : (float) $price;
        }
        $cost += $each === [] ? 0.0 : min($each);
        foreach ($kinds as $of) {
            $metres = array_sum(array_column($of, 1));
            $each = [];
            foreach ($tables->controllers([$of[0][0]], true) as $snapshot) {
                $controller = $snapshot->entry;
                $price = Bill::piece($tables->plan, $snapshot);
                $each[] =
                    $controller instanceof Controller
                        ? max(
                            $price,
                            ($price * $metres) / ControllerAmps::metres($tables->strip($of[0][0]), $controller),
                        )
                        : (float) $price;
            }
            $cost += $each === [] ? 0.0 : min($each);
        }

        return $rank + $aim->rank((int) floor($cost), 0, 1);
    }
}
