<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Routes;

use EmberDusk\Survey\Point;

/** Point at which a cable ends: its place, the point on the sheet of that place, and the metres above the floor. */
final readonly class CablePoint
{
    /**
     * @param  string  $place  id
     * @param  float|null  $up  null if not measured
     */
    public function __construct(public string $place, public Point $at, public ?float $up) {}
}
