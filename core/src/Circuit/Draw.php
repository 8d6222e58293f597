<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

/** A steady current between two nodes: the standby of a controller. */
final readonly class Draw
{
    public function __construct(public string $name, public int $plus, public int $minus, public float $amps) {}
}
