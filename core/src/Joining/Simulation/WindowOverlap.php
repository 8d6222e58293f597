<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Simulation;

/** Two windows that have to overlap for long enough: something listens, something else looks. */
final readonly class WindowOverlap
{
    /**
     * When they have met for so many seconds; null when they do not.
     *
     * @param  array{float, float}|null  $one  from, until
     * @param  array{float, float}|null  $other
     */
    public static function for(?array $one, ?array $other, float $takes): ?float
    {
        if ($one === null || $other === null) {
            return null;
        }
        $at = max($one[0], $other[0]) + $takes;

        if ($at <= min($one[1], $other[1]) + 1e-9) {
            return $at;
        }

        return null;
    }
}
