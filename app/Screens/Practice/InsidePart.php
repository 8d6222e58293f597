<?php

declare(strict_types=1);

namespace App\Screens\Practice;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A part inside a device that a learner may look at. */
final readonly class InsidePart implements View
{
    use WrittenRecord;

    public function __construct(
        public string $device,
        public string $code,
        public string $label,
        public float $seconds,
    ) {}
}
