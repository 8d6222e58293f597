<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

/** A run fed one way, as the solver has it. */
final readonly class JudgedFeeds
{
    /**
     * @param  float  $excess  share by which the worst limit is missed
     * @param  float  $drop  volts lost to the farthest feed
     */
    public function __construct(public float $excess, public float $amps, public float $drop) {}
}
