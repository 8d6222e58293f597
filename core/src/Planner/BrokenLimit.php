<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Checks\PlannerLimit;

/** A limit that a layout does not hold: which, in words, by what share of it, the code of the check that found it, and where. */
final readonly class BrokenLimit
{
    public function __construct(
        public PlannerLimit $limit,
        public string $words,
        public float $excess,
        public string $code = '',
        public string $at = '',
    ) {}
}
