<?php

declare(strict_types=1);

namespace EmberDusk\Values;

/**
 * One input of a formula: its symbol, meaning, value and unit, and its origin: a path into the plan, the run, an entry of the shelf or the solver's
 * result, such as “solver.feeds.f1.volts”.
 */
final readonly class Input
{
    public function __construct(
        public string $symbol,
        public string $meaning,
        public float $value,
        public string $unit,
        public string $path,
    ) {}

    /**
     * The formula of their sum.
     *
     * @param  array<array-key, self>  $inputs
     */
    public static function sum(array $inputs): string
    {
        return implode(' + ', array_map(static fn(self $i): string => $i->symbol, $inputs)) ?: '0';
    }
}
