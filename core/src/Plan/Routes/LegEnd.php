<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Routes;

use EmberDusk\Survey\Point;

/** One end of a leg that exists: its name in the notes, where it is, and the pad of a run that is nearest to it. */
final readonly class LegEnd
{
    /**
     * @param  float|null  $up  metres above the floor
     * @param  float  $drop  metres of new cable from there to the pad
     */
    public function __construct(
        public string $name,
        public Point $at,
        public ?float $up,
        public int $pad,
        public float $drop,
    ) {}
}
