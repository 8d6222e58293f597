<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

/** The smallest set of limits that no layout meets the limits together: every layout breaks one of them. */
final readonly class Clash
{
    /**
     * @param  list<list<string>>  $broken  the limits that each layout breaks
     * @return list<string> the fewest that meet every one of those, the first in the order of the limits
     */
    public static function from(array $broken): array
    {
        $best = BrokenLimit::LIMITS;
        for ($set = 1, $all = 2 ** count(BrokenLimit::LIMITS); $set < $all; $set++) {
            $limits = array_values(
                array_filter(
                    BrokenLimit::LIMITS,
                    static fn(int $n): bool => (($set >> $n) & 1) === 1,
                    ARRAY_FILTER_USE_KEY,
                ),
            );
            if (
                count($limits) < count($best) &&
                array_filter($broken, static fn(array $b): bool => array_intersect($b, $limits) === []) === []
            ) {
                $best = $limits;
            }
        }
        if ($broken === []) {
            return [];
        }

        return $best;
    }
}
