<?php

declare(strict_types=1);

namespace EmberDusk\Circuit\Solver;

use EmberDusk\Circuit\FixtureGroup;
use EmberDusk\Values\NoSolution;

/** Message when the valid branch ends before fixtures reach their power. */
final class Collapse
{
    /**
     * @param  non-empty-list<FixtureGroup>  $points  loads of constant power
     * @param  array<int, float>  $volts  where the last step rested
     * @param  float  $power  share of their power that they had then
     */
    public static function for(array $points, array $volts, float $power): NoSolution
    {
        usort($points, static fn(FixtureGroup $a, FixtureGroup $b): int => $a->across($volts) <=> $b->across($volts));

        return NoSolution::at(
            $points[0]->part,
            sprintf(
                'Voltage collapse at %s: at %d %% of their power the cables cannot supply them. ' .
                    'Thicker or shorter cable, more volts, or fewer fixtures.',
                strtoupper($points[0]->part),
                (int) floor(100 * $power),
            ),
        );
    }
}
