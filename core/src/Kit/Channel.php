<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

/**
 * One colour of a strip: its name, W/m at nominal volts, the colour of its light as #rrggbb, and the volts of one LED if they differ from the
 * strip's: red needs fewer than green and blue.
 */
final readonly class Channel
{
    public function __construct(
        public string $name,
        public float $wattsPerMetre,
        public string $colour,
        public ?float $ledVolts = null,
    ) {}
}
