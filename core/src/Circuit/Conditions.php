<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Kit\Supply;

/** Assumptions besides the plan: factors on strip rails and supply volts, and an open feed. */
final readonly class Conditions
{
    /** How far rails and supplies may be off (docs/model.md 5). */
    private const RAIL = 0.1;

    private const SUPPLY = 0.01;

    public function __construct(
        public float $rail = 1.0,
        public float $supply = 1.0,
        public ?string $openFeed = null,
    ) {}

    /** Volts at no load: a battery's between empty and on charge, any other supply's as far off as it may be. */
    public function emf(Supply $supply): float
    {
        return match (true) {
            $this->supply < 1.0 => $supply->lowest ?? $supply->emf * $this->supply,
            $this->supply > 1.0 => $supply->charging ?? $supply->emf * $this->supply,
            default => $supply->emf,
        };
    }

    /** A battery that is empty, rails as they should be. */
    public static function empty(): self
    {
        return new self(supply: 1 - self::SUPPLY);
    }

    /** A battery on charge, rails as they should be. */
    public static function charging(): self
    {
        return new self(supply: 1 + self::SUPPLY);
    }

    /** Rails as thin as they may be, volts as they should be. */
    public static function rails(): self
    {
        return new self(1 + self::RAIL);
    }

    /** Thin rails and low volts. */
    public static function poor(): self
    {
        return new self(1 + self::RAIL, 1 - self::SUPPLY);
    }

    /** Thick rails and high volts. */
    public static function rich(): self
    {
        return new self(1 - self::RAIL, 1 + self::SUPPLY);
    }
}
