<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Routes;

use EmberDusk\Kit\KitSnapshot;

/** A leg that exists as a way to a run: its own size, length and ends; what leads to it and from it is new cable. */
final readonly class LegWay
{
    /**
     * @param  KitSnapshot  $kit  cable of the shelf of its cores and size
     * @param  float  $length  metres, as measured, or along the walls from end to end
     * @param  bool  $measured whether it was measured
     * @param  string  $laid  how, in the survey's words
     * @param  array{LegEnd, LegEnd}  $ends
     */
    public function __construct(
        public string $name,
        public KitSnapshot $kit,
        public float $length,
        public bool $measured,
        public string $laid,
        public array $ends,
    ) {}
}
