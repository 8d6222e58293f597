<?php

declare(strict_types=1);

namespace App\Screens\Desk;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** The stage as it would be after a change. */
final readonly class Preview implements View
{
    use WrittenRecord;

    public function __construct(public Desk $desk) {}
}
