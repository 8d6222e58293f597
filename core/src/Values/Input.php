<?php

declare(strict_types=1);

namespace EmberDusk\Values;

/**
 * One figure that goes into a formula: its symbol there, what it means, its value and unit, and where it was read: a path
 * into the plan, the run, an entry of the shelf or what the solver found, such as “solver.feeds.f1.volts”.
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
