<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A control of the control matrix, with its zones. */
final readonly class BoardControl implements View
{
    use WrittenRecord;

    public function __construct(
        public string $id,
        public string $item,
        public string $label,
        public string $name,
        public int $zones,
    ) {}
}
