<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Meter;

/** A meter reading at a spot under a command: volts or amps, depending on the spot. */
final readonly class Reading
{
    public function __construct(public MeterSpot $spot, public MeterCommand $command, public float $value) {}
}
