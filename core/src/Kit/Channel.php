<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

/** One colour of a strip: what it is called, W/m at nominal volts, and the colour of its light as #rrggbb. */
final readonly class Channel
{
    public function __construct(public string $name, public float $wattsPerMetre, public string $colour)
    {
    }
}
