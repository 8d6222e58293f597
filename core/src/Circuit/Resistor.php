<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

/** A resistance between two nodes, with its part: a cable's core, a controller's path. */
final readonly class Resistor
{
    public function __construct(
        public string $name,
        public string $part,
        public int $from,
        public int $to,
        public float $ohms,
    ) {}
}
