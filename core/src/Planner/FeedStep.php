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

    /** Whether it is no worse in any way. */
    public function beats(self $other): bool
    {
        return $this->loses <= $other->loses &&
            $this->tail <= $other->tail + 1e-9 &&
            $this->amps <= $other->amps + 1e-9;
    }
}
