<?php

declare(strict_types=1);

namespace App\Screens\Survey;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A photo of a place. */
final readonly class PhotoView implements View
{
    use WrittenRecord;

    public function __construct(
        public int $id,
        public string $url,
        public string $caption,
        public int $width,
        public int $height,
        public string $taken,
    ) {}
}
