<?php

declare(strict_types=1);

namespace EmberDusk\Control;

/** Two devices that hear each other. */
final readonly class RadioLink
{
    /** @param  float  $spare  rest of the link budget, dB */
    public function __construct(public string $a, public string $b, public float $spare) {}
}
