<?php

declare(strict_types=1);

namespace App\Screens\Join;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A control to try, with the words on it. */
final readonly class JoinTry implements View
{
    use WrittenRecord;

    public function __construct(
        public string $kind,
        public string $device,
        public string $text,
        public string $label,
    ) {}
}
