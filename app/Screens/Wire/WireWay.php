<?php

declare(strict_types=1);

namespace App\Screens\Wire;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** Position of a cable, with what switches it. */
final readonly class WireWay implements View
{
    use WrittenRecord;

    public function __construct(public string $way, public WireCable $cable) {}
}
