<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

/** Way of feeding with its lower bounds: volts lost with any trunk, volts lost in its own cables, amps drawn. */
final readonly class FeedStep
{
    public function __construct(
        public FeedOption $option,
        public float $loses,
        public float $tail,
        public float $amps,
    ) {}
}
