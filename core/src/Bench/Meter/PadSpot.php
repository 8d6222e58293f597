<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Meter;

/** A pad of a run. */
final readonly class PadSpot
{
    /**
     * @param  float  $at  pads from its start
     * @param  int  $channel  from 1
     */
    public function __construct(public string $run, public float $at, public int $channel) {}
}
