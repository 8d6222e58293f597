<?php

declare(strict_types=1);

namespace App\Screens\People;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A line of the record of who did what. */
final readonly class RecordLine implements View
{
    use WrittenRecord;

    public function __construct(public string $at, public string $who, public string $what, public string $about) {}
}
