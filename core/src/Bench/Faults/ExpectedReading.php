<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Faults;

/** What a meter should show, and how far it may be off. */
final readonly class ExpectedReading
{
    /** @param  array{float, float, float}  $slopes  by rails, by supplies, by the size of the fault */
    public function __construct(public float $value, public float $variance, public array $slopes) {}
}
