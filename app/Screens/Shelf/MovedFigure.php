<?php

declare(strict_types=1);

namespace App\Screens\Shelf;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A figure that a change of an entry moves. */
final readonly class MovedFigure implements View
{
    use WrittenRecord;

    public function __construct(
        public string $label,
        public string $before,
        public string $after,
        public string $unit,
    ) {}
}
