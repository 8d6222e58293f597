<?php

declare(strict_types=1);

namespace EmberDusk\Survey;

/** A place on the sheet where something goes so many metres up, or down. */
final readonly class Climb
{
    public function __construct(public Point $at, public float $length, public bool $down) {}
}
