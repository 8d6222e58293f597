<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** Lights whose names a voice assistant confuses. */
final readonly class NameClashView implements View
{
    use WrittenRecord;

    public function __construct(
        public string $light,
        public string $title,
        public string $detail,
        public string $instead,
    ) {}
}
