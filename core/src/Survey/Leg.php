<?php

declare(strict_types=1);

namespace EmberDusk\Survey;

/** One straight leg of the wall notes, along the walls or up and down. Metres; heading in degrees clockwise from up the page. */
final readonly class Leg
{
    public float $length;

    /**
     * @param  list<string>  $runs  the words of the runs along it
     * @param  list<Gap>  $gaps  in order along the leg
     * @param  bool  $climbs  it goes up or down and moves nothing on the sheet
     */
    public function __construct(
        public MeasuredWord $measured,
        public float $heading,
        public array $runs,
        public array $gaps,
        public bool $climbs = false,
        public bool $down = false,
    ) {
        $this->length = $measured->metres;
    }
}
