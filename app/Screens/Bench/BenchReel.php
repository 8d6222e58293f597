<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** Resistance of a reel as measured, beside what the kit says. */
final readonly class BenchReel implements View
{
    use WrittenRecord;

    public function __construct(
        public string $kit,
        public float $plus,
        public float $wasPlus,
        public float $returnRail,
        public float $wasReturn,
        public bool $kept,
    ) {}
}
