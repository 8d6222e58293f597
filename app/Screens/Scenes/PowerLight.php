<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A light with its dimming curve and its state after a power cut. */
final readonly class PowerLight implements View
{
    use WrittenRecord;

    public function __construct(
        public string $id,
        public string $name,
        public string $curve,
        public string $powerOn,
        public float $level,
        public ?float $keeps,
        public string $cut,
    ) {}
}
