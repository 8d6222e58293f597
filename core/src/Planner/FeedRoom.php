<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

/** Volts and amps that a block leaves to one way of feeding. */
final readonly class FeedRoom
{
    /**
     * @param  float  $volts  lost in its cables and its trunk
     * @param  float  $tail  volts lost in its own cables, and by its amps in the trunk
     * @param  float  $ohms  of the trunk
     * @param  float  $others  volts that the other runs lose in that trunk at least
     * @param  float  $each  amps that each of its feeds may carry on average
     * @param  float  $least  share of the strip's volts that its hub has at least
     */
    public function __construct(
        public float $volts,
        public float $tail = INF,
        public float $ohms = 0.0,
        public float $each = INF,
        public float $others = 0.0,
        public float $least = 0.0,
    ) {}

    public function holds(FeedStep $step): bool
    {
        return $step->loses <= $this->volts &&
            $step->most >= $this->least &&
            $step->tail + $this->ohms * $step->amps <= $this->tail &&
            $step->amps <= $this->each * max(1, count($step->option->pads)) + 1e-6;
    }
}
