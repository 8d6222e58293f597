<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

/** A limit that a layout does not hold: which, in words, by what share of it, and the code of the check that found it. */
final readonly class BrokenLimit
{
    /** A check that stops, of which the planner decides nothing. */
    public const OTHER = 'other';

    public const LIMITS = ['headroom', 'controller', 'evenness', 'seam', 'drop', 'cable', 'cores', 'rail', self::OTHER];

    public function __construct(
        public string $limit,
        public string $words,
        public float $excess,
        public string $code = '',
    ) {}
}
