<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Fields;

/** Limits of the job (docs/model.md 1, 4, 6). Shares of one; degrees Celsius. */
final readonly class Limits
{
    public function __construct(
        public float $drop = 0.05,
        public float $headroom = 0.2,
        public float $evenness = 0.9,
        public float $seam = 0.05,
        public float $cableCelsius = 40.0,
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

    /** @throws \EmberDusk\Values\Refusal at the first value outside what can be judged by */
    public static function read(Fields $f): self
    {
        return new self(
            drop: $f->number('drop', 0.005, 0.5),
            headroom: $f->number('headroom', 0, 0.8),
            evenness: $f->number('evenness', 0.3, 1),
            seam: $f->number('seam', 0.005, 0.5),
            cableCelsius: $f->number('cableCelsius', -20, 90),
        );
    }
}
