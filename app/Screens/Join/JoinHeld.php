<?php

declare(strict_types=1);

namespace App\Screens\Join;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** Distance at which a device is held. */
final readonly class JoinHeld implements View
{
    use WrittenRecord;

    public function __construct(public string $words, public float $metres) {}
}
