<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Checks\PlannerLimit;

/** The smallest set of limits that no layout meets the limits together: every layout breaks one of them. */
final readonly class Clash
{
    /**
     * @param  list<list<PlannerLimit>>  $broken  the limits that each layout breaks
     * @return list<PlannerLimit> the fewest that meet every one of those, the first in the order of the limits
     */
    public static function from(array $broken): array
    {
        if ($broken === []) {
            return [];
        }
        $best = PlannerLimit::cases();
        for ($set = 1, $all = 2 ** count(PlannerLimit::cases()); $set < $all; $set++) {
            $limits = array_values(
                array_filter(
                    PlannerLimit::cases(),
                    static fn(int $n): bool => (($set >> $n) & 1) === 1,
                    ARRAY_FILTER_USE_KEY,
                ),
            );
            $meets = static fn(PlannerLimit $l): bool => in_array($l, $limits, true);
            if (
                count($limits) < count($best) &&
                array_filter($broken, static fn(array $b): bool => array_filter($b, $meets) === []) === []
            ) {
                $best = $limits;
            }
        }

        return $best;
    }
}
