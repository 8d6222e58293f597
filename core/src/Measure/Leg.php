<?php

declare(strict_types=1);

namespace EmberDusk\Measure;

/** One straight leg of the tape notes. Metres; heading in degrees clockwise from up the page. */
final readonly class Leg
{
    /** @param  list<Gap>  $gaps in order along the leg */
    public function __construct(
        public Word $lengthWord,
        public float $length,
        public float $heading,
        public ?string $run,
        public array $gaps,
    ) {
    }
}
