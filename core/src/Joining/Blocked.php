<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Values\Place;

/** Something that cannot be joined as the job stands, known before the first step: what, why, and what would help. */
final readonly class Blocked
{
    /**
     * @param  string  $code  short key of the reason
     * @param  Place  $place  where it is put right
     */
    public function __construct(
        public string $code,
        public string $unit,
        public string $title,
        public string $detail,
        public Place $place,
    ) {}
}
