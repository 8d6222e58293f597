<?php

declare(strict_types=1);

namespace EmberDusk\Values;

/** Range of a predicted value, low to high. */
final readonly class Range
{
    public function __construct(public float $low, public float $high) {}

    public static function over(float $value, float ...$others): self
    {
        return new self(min($value, ...$others), max($value, ...$others));
    }

    /** Whether the limit is inside, so that no verdict can be given. */
    public function straddles(float $limit): bool
    {
        return $this->low < $limit && $limit < $this->high;
    }
}
