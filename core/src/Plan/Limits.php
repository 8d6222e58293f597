<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\JsonReadable;
use EmberDusk\Formats\Record\Record;

/** Limits of the job (docs/model.md 1, 4, 6). Shares of one; degrees Celsius. */
final readonly class Limits implements JsonReadable
{
    use Record;

    public function __construct(
        #[Field(0.005, 0.5)] public float $drop = 0.05,
        #[Field(0, 0.8)] public float $headroom = 0.2,
        #[Field(0.3, 1)] public float $evenness = 0.9,
        #[Field(0.005, 0.5)] public float $seam = 0.05,
        #[Field(-20, 90)] public float $cableCelsius = 40.0,
    ) {}

    /** Share of a supply's rating that may be used. */
    public function usable(): float
    {
        return 1 - $this->headroom;
    }

    /** Watts that a supply must be rated for to give so many with its headroom (common practice: 144 W asks for 180 W). */
    public function rating(float $watts): float
    {
        return $watts / $this->usable();
    }
}
