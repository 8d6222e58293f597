<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** One of two faults that explain the readings together. */
final readonly class BenchPairFault implements View
{
    use WrittenRecord;

    public function __construct(public string $class, public string $words, public string $mend) {}
}
