<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Meter;

/** A meter reading at a spot under a command: volts or amps, depending on the spot. */
final readonly class Reading
{
    public function __construct(public Spot $spot, public Command $command, public float $value) {}
}
