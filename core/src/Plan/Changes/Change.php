<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes;

use EmberDusk\Formats\Fields;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Settled;
use EmberDusk\Values\Refusal;

/** A named change of a plan. Which items it touched is what differs between the plan before and after. */
abstract readonly class Change
{
    /** @throws Refusal with a JSON Pointer to the first value that is not allowed, or where the shelf lacks an entry it names */
    abstract public static function read(Fields $f, ShelfSource $shelf): self;

    /** @throws Refusal when it cannot be done to this plan; the pointer is a field of the change */
    final public function apply(Plan $plan): Plan
    {
        return (new Settled($plan, $this->changed($plan)))->after();
    }

    /**
     * The plan with the change itself. What it leaves without a use goes afterwards; of several changes made as one after each, so that it
     * does not matter whether they are made together.
     *
     * @throws Refusal
     */
    abstract protected function changed(Plan $plan): Plan;

    /** Text of the history line, from the plan before the change: "Feed added to Cove at 9.00 m". */
    abstract public function words(Plan $plan): string;
}
