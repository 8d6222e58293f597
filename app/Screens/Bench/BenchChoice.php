<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** One of the choices of a list. */
final readonly class BenchChoice implements View
{
    use WrittenRecord;

    public function __construct(public string $key, public string $words) {}
}
