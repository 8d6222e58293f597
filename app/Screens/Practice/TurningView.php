<?php

declare(strict_types=1);

namespace App\Screens\Practice;

use App\Screens\View;
use EmberDusk\Formats\Record\JsonReadable;
use EmberDusk\Formats\Record\Record;

/** The moment at which a practice took a wrong turn. */
final readonly class TurningView implements JsonReadable, View
{
    use Record;

    public function __construct(public float $at, public string $clock, public string $says) {}
}
