<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Kit\Connector;

/**
 * Ohms before the hub of a block: the copper of the trunk, both cores, and the smallest and largest resistance inside the controller; with the maximum
 * current there, in amps.
 */
final readonly class BlockOhms
{
    /** Ohms of the terminals of a trunk: two cores with two ends. */
    public const ENDS = 4 * Connector::TERMINAL;

    public function __construct(public float $copper, public float $least, public float $most, public float $amps) {}

    /** Ohms of the trunk with its terminals; pixels have none. */
    public function trunk(): float
    {
        return $this->copper === 0.0 ? 0.0 : $this->copper + self::ENDS;
    }

    /** Volts lost at most before the hub of a run that takes so many amps: inside the controller its own are counted behind the hub. */
    public function lost(float $own): float
    {
        return $this->trunk() * $this->amps + $this->most * ($this->amps - $own);
    }
}
