<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A strip whose reel may be measured. */
final readonly class BenchReelStrip implements View
{
    use WrittenRecord;

    public function __construct(public string $id, public string $name) {}
}
