<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** Volts of a run, amps of its strongest channel at full, and its place. */
final readonly class BenchChannel implements View
{
    use WrittenRecord;

    public function __construct(public string $name, public float $volts, public float $amps, public string $place) {}
}
