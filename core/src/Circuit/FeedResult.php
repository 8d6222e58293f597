<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

/**
 * A feed point: volts between + and the worst return at its pad, amps that enter there, and the volts of the supply that
 * they come from.
 */
final readonly class FeedResult
{
    public function __construct(
        public string $id,
        public float $volts,
        public float $amps,
        public float $supplyVolts,
    ) {}

    /** Volts on the way from the supply. */
    public function lost(): float
    {
        return $this->supplyVolts - $this->volts;
    }
}
