<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

/** Pixels of a run on one data output: a run, or part of a run that is too long for one output. */
final readonly class DataPart
{
    /**
     * @param  int  $first  number of its first pixel in the run, from 1, as the data comes
     * @param  int  $start  pixels of its output before it
     * @param  bool  $reversed  whether the run takes the data in at its end
     */
    public function __construct(
        public string $run,
        public int $first,
        public int $pixels,
        public int $start,
        public bool $reversed,
    ) {}

    /** As text: "pixels 61 to 180, from the end of the run". */
    public function words(): string
    {
        return 'pixels ' .
            ($this->start + 1) .
            ' to ' .
            ($this->start + $this->pixels) .
            ($this->first > 1 ? ", from pixel {$this->first} of the run" : '') .
            ($this->reversed ? ', from the end of the run' : '');
    }
}
