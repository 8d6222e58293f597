<?php

declare(strict_types=1);

namespace App\Screens\Shelf;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** Numbers of imported entries by what became of them. */
final readonly class ImportCounts implements View
{
    use WrittenRecord;

    public function __construct(public int $new, public int $changed, public int $same) {}
}
