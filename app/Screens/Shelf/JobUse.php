<?php

declare(strict_types=1);

namespace App\Screens\Shelf;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A job that uses an entry. */
final readonly class JobUse implements View
{
    use WrittenRecord;

    public function __construct(public int $job, public string $name, public int $revision, public bool $moved) {}
}
