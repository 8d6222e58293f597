<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Faults;

/** Expected value of a meter, and its variance. */
final readonly class ExpectedReading
{
    /** @param  array{float, float, float}  $slopes  by rails, by supplies, by the size of the fault */
    public function __construct(public float $value, public float $variance, public array $slopes) {}
}
