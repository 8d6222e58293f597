<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

/** What the job is judged by (engineering.md 1, 4, 6). Shares of one; degrees Celsius. */
final readonly class Limits
{
    public function __construct(
        public float $drop = 0.05,
        public float $headroom = 0.20,
        public float $evenness = 0.90,
        public float $seam = 0.05,
        public float $cableCelsius = 40.0,
    ) {
    }
}
