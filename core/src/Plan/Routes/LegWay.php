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

    /**
     * The ends in order: the one to which less new cable leads, and how much.
     *
     * @param  callable(LegEnd): ?float  $lead metres to an end; null if unknown
     */
    public function from(callable $lead): TappedEnd
    {
        [$a, $b] = [$lead($this->ends[0]), $lead($this->ends[1])];
        if ($a === null || $b === null) {
            return new TappedEnd($this->ends[0], $this->ends[1], ExistingLegs::LEAD);
        }

        if ($b < $a) {
            return new TappedEnd($this->ends[1], $this->ends[0], round($b, 2));
        }

        return new TappedEnd($this->ends[0], $this->ends[1], round($a, 2));
    }
}
