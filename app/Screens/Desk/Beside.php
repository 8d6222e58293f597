<?php

declare(strict_types=1);

namespace App\Screens\Desk;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** An earlier state beside the newest. */
final readonly class Beside implements View
{
    use WrittenRecord;

    public function __construct(public string $words, public Desk $desk) {}
}
