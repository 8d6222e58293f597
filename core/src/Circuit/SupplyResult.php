<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

/** Output of a supply: volts at its terminals, mean amps over the dimming period, and amps in its highest phase. */
final readonly class SupplyResult
{
    public function __construct(public string $id, public float $volts, public float $amps, public float $peakAmps) {}

    public function watts(): float
    {
        return $this->volts * $this->amps;
    }

    /** The same over more of the period. */
    public function and(self $other, float $share): self
    {
        return new self(
            $this->id,
            min($this->volts, $other->volts),
            $this->amps + $share * $other->amps,
            max($this->peakAmps, $other->peakAmps),
        );
    }

    public function shared(float $share): self
    {
        return new self($this->id, $this->volts, $share * $this->amps, $this->peakAmps);
    }
}
