<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

/** What is assumed beside the plan: factors on strip rails and supply volts, and a feed that is open. */
final readonly class Conditions
{
    /** How far rails and supplies may be off (engineering.md 5). */
    private const RAIL = 0.10;

    private const SUPPLY = 0.01;

    public function __construct(public float $rail = 1.0, public float $supply = 1.0, public ?string $openFeed = null)
    {
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
