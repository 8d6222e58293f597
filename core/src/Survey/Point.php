<?php

declare(strict_types=1);

namespace EmberDusk\Survey;

/** A place on the sheet of walls in metres: x to the right, y up the page. */
final readonly class Point
{
    public function __construct(public float $x, public float $y) {}

    /** The point so many metres further under a heading in degrees clockwise from up. */
    public function go(float $length, float $heading): self
    {
        $angle = deg2rad($heading);

        return new self($this->x + $length * sin($angle), $this->y + $length * cos($angle));
    }

    public function to(self $other): float
    {
        return hypot($other->x - $this->x, $other->y - $this->y);
    }
}
