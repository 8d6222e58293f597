<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A run on the bench, with how far its tests are. */
final readonly class BenchRunView implements View
{
    use WrittenRecord;

    public function __construct(
        public string $id,
        public string $name,
        public string $place,
        public int $tests,
        public int $done,
        public string $says,
    ) {}
}
