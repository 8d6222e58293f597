<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A spot where the meter's tips are held. */
final readonly class BenchSpot implements View
{
    use WrittenRecord;

    public function __construct(
        public string $id,
        public string $of,
        public string $words,
        public string $unit,
        public ?float $metres,
    ) {}
}
