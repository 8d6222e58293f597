<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

/** A limit that a layout does not hold: which, in words, and by what share of it. */
final readonly class Broken
{
    /** A check that stops, of which the planner decides nothing. */
    public const OTHER = 'other';

    public const LIMITS = ['headroom', 'controller', 'evenness', 'seam', 'drop', 'cable', 'cores', 'rail', self::OTHER];

    public function __construct(public string $limit, public string $words, public float $excess) {}
}
