<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Simulation;

/** A press, hold or switching that a simulated device has noticed. */
final readonly class HeardAct
{
    /** @param  float  $seconds  for how long */
    public function __construct(public string $kind, public string $key, public float $at, public float $seconds) {}
}
