<?php

declare(strict_types=1);

namespace App\Screens\Handover;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A fact that was left with a thing for the next installer. */
final readonly class LeftFactView implements View
{
    use WrittenRecord;

    public function __construct(
        public int $id,
        public string $kind,
        public string $about,
        public string $says,
        public string $day,
        public string $by,
    ) {}
}
