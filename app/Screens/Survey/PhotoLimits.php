<?php

declare(strict_types=1);

namespace App\Screens\Survey;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** Limits of a photo. */
final readonly class PhotoLimits implements View
{
    use WrittenRecord;

    public function __construct(public int $megapixels, public int $megabytes) {}
}
