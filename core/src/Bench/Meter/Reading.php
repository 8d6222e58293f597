<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Meter;

/** What a meter showed at a spot while something was commanded: volts or amps, as the spot asks for. */
final readonly class Reading
{
    public function __construct(public Spot $spot, public Command $command, public float $value) {}
}
