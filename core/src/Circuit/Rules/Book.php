<?php

declare(strict_types=1);

namespace EmberDusk\Circuit\Rules;

use EmberDusk\Values\Finding;

/** All rules that a run is held against; adding one is a class and a line here. */
final readonly class Book
{
    /** @return list<Finding> in the order of the rules */
    public static function check(Judged $case): array
    {
        $findings = [];
        foreach (
            [
                new Complete(),
                new SupplyVolts(),
                new InputRange(),
                new ControllerAmps(),
                new Headroom(),
                new Cap(),
                new Evenness(),
                new Seam(),
                new ColourShift(),
                new TwoPositives(),
                new Drop(),
                new CableCapacity(),
                new Protection(),
                new Joints(),
                new Setting(),
                new Repeats(),
                new Swing(),
                new Touch(),
                new Lengths(),
            ]
            as $rule
        ) {
            array_push($findings, ...$rule->check($case));
        }

        return $findings;
    }
}
