<?php

declare(strict_types=1);

namespace App\Screens\Kit;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A unit of another run that could feed this one, or a unit of its own for one that shares. */
final readonly class ShareOption implements View
{
    use WrittenRecord;

    public function __construct(public string $with, public string $text) {}
}
