<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A possible fault and the value that it would give. */
final readonly class BenchExpects implements View
{
    use WrittenRecord;

    public function __construct(public string $words, public string $text) {}
}
