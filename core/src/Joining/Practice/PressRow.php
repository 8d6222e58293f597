<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Practice;

/** Presses of one key in a row. */
final readonly class PressRow
{
    /** @param  float  $at  of the first press */
    public function __construct(public float $at, public string $device, public string $key, public int $times) {}
}
