<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A number of sections that was set and how many were lit. */
final readonly class BenchTry implements View
{
    use WrittenRecord;

    public function __construct(public int $set, public int $lit) {}
}
