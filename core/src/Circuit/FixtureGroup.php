<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Circuit\Loads\ConstantPower;

/** Fixtures that hang between two nodes. */
final readonly class FixtureGroup
{
    /** @param  string  $part  the fitting's id in the plan */
    public function __construct(
        public string $part,
        public string $name,
        public int $plus,
        public int $minus,
        public ConstantPower $load,
    ) {}

    /**
     * @param  array<int, float>  $volts  of the hubs
     * @return float volts over the fixtures
     */
    public function across(array $volts): float
    {
        return $volts[$this->plus] - $volts[$this->minus];
    }
}
