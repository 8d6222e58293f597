<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Routes;

/** A leg by the end at which it is fed. */
final readonly class TappedEnd
{
    /** @param  float  $lead  metres of new cable to the near end */
    public function __construct(public LegEnd $near, public LegEnd $far, public float $lead) {}
}
