<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** Numbers of entries of an imported log by what became of them. */
final readonly class LogImportCounts implements View
{
    use WrittenRecord;

    public function __construct(public int $new, public int $same, public int $elsewhere) {}
}
