<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

/** A way of feeding with the volts that it loses at least, with whatever trunk is before it and in its own cables alone, and the amps it takes. */
final readonly class FeedStep
{
    public function __construct(
        public FeedOption $option,
        public float $loses,
        public float $tail,
        public float $amps,
    ) {}
}
