<?php

declare(strict_types=1);

namespace EmberDusk\Values;

/** One figure that goes into a formula: its symbol there, what it means, its value and unit. */
final readonly class Input
{
    public function __construct(
        public string $symbol,
        public string $meaning,
        public float $value,
        public string $unit,
    ) {}
}
