<?php

declare(strict_types=1);

namespace App\Screens\Wire;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\Figure;

/** A cable with its size, drop and amps, whether a fuse or a switch can be in it, and how it is joined without a connector. */
final readonly class WireCable implements View
{
    use WrittenRecord;

    public function __construct(
        public string $id,
        public string $kit,
        public string $label,
        public string $length,
        public bool $reckoned,
        public ?Figure $drop,
        public ?Figure $amps,
        public string $joint,
        public string $fuse,
        public bool $existing,
        public ?Figure $way,
        public string $switch,
        public bool $fusible,
        public string $joined,
    ) {}
}
