<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

/**
 * Way of feeding with its bounds: volts lost at least with any trunk, volts lost and amps drawn at least in its own cables, and the share of the
 * strip's volts that its hub may have at most.
 */
final readonly class FeedStep
{
    public function __construct(
        public FeedOption $option,
        public float $loses,
        public float $tail,
        public float $amps,
        public float $most = INF,
    ) {}

    /** Whether it is no worse in any way. */
    public function beats(self $other): bool
    {
        return $this->loses <= $other->loses &&
            $this->tail <= $other->tail + 1e-9 &&
            $this->amps <= $other->amps + 1e-9 &&
            $this->most >= $other->most - 1e-9;
    }
}
