<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A light of the control matrix. */
final readonly class BoardLight implements View
{
    use WrittenRecord;

    public function __construct(
        public string $id,
        public string $item,
        public string $label,
        public string $name,
        public string $room,
        public string $kind,
        public bool $named,
    ) {}
}
