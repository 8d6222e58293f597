<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A fault with the share of belief that the readings leave it. */
final readonly class BenchBelief implements View
{
    use WrittenRecord;

    public function __construct(
        public string $class,
        public string $words,
        public float $share,
        public string $size,
        public string $mend,
    ) {}
}
