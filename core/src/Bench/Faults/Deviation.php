<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Faults;

/** How far rails and supplies are off, in their tolerances. */
final readonly class Deviation
{
    /** @param  float  $railsOff  standard deviation of it, as of the supplies in $suppliesOff */
    public function __construct(
        public float $rails,
        public float $railsOff,
        public float $supplies,
        public float $suppliesOff,
    ) {}
}
