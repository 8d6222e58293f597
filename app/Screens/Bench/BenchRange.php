<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** The expected band of a reading, now and when it was taken. */
final readonly class BenchRange implements View
{
    use WrittenRecord;

    public function __construct(public string $now, public string $was) {}
}
