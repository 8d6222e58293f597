<?php

declare(strict_types=1);

namespace EmberDusk\Checks;

use EmberDusk\Checks\Cable\Drop;
use EmberDusk\Checks\Cable\Lengths;
use EmberDusk\Checks\Controller\ControllerAmps;
use EmberDusk\Checks\Controller\InputRange;
use EmberDusk\Checks\Controller\Repeats;
use EmberDusk\Checks\Controller\Setting;
use EmberDusk\Checks\Kit\Complete;
use EmberDusk\Checks\Light\ColourShift;
use EmberDusk\Checks\Light\Evenness;
use EmberDusk\Checks\Light\Seam;
use EmberDusk\Checks\Protection\CableCapacity;
use EmberDusk\Checks\Protection\Fusing;
use EmberDusk\Checks\Protection\JointCapacity;
use EmberDusk\Checks\Protection\Touch;
use EmberDusk\Checks\Supply\Cap;
use EmberDusk\Checks\Supply\Headroom;
use EmberDusk\Checks\Supply\SupplyVolts;
use EmberDusk\Checks\Supply\Swing;
use EmberDusk\Checks\Supply\TwoPositives;
use EmberDusk\Values\Finding;

/** All rules that a run is held against; adding one is a class and a line here. */
final readonly class Registry
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
                new Fusing(),
                new JointCapacity(),
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
