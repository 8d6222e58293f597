<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A room on the plan of reach. */
final readonly class ReachRoom implements View
{
    use WrittenRecord;

    public function __construct(
        public string $name,
        public float $x,
        public float $y,
        public float $w,
        public float $h,
    ) {}
}
