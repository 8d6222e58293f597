<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes;

use EmberDusk\Plan\Plan;
use EmberDusk\Values\Refusal;

/** A named change of a plan. Which items it touched is what differs between the plan before and after. */
interface Change
{
    /** @throws Refusal when it cannot be done to this plan; the pointer is a field of the change */
    public function apply(Plan $plan): Plan;

    /** Text of the history line, from the plan before the change: "Feed added to Cove at 9.00 m". */
    public function words(Plan $plan): string;
}
