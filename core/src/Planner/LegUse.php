<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Plan\Routes\LegEnd;
use EmberDusk\Plan\Routes\LegWay;

/** Use of a leg from a place: the fed end, and the new cable to it. */
final readonly class LegUse
{
    public function __construct(public LegWay $leg, public LegEnd $near, public LegEnd $far, public float $lead) {}

    /** @return array{float, float} metres of the drops, in the order of the pads */
    public function drops(): array
    {
        return [$this->near->drop, $this->far->drop];
    }
}
