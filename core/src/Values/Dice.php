<?php

declare(strict_types=1);

namespace EmberDusk\Values;

/** Chance that is the same for the same seed and occasion. */
final readonly class Dice
{
    public function __construct(private int $seed) {}

    /** A number from least to most. */
    public function between(float $least, float $most, string $occasion): float
    {
        $share = hexdec(substr(hash('sha256', $this->seed . ' ' . $occasion), 0, 12)) / 0xffffffffffff;

        return $least + ($most - $least) * $share;
    }
}
