<?php

declare(strict_types=1);

namespace App\Screens\Shelf;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** Jobs that use an entry. */
final readonly class EntryUses implements View
{
    use WrittenRecord;

    /** @param  list<JobUse>  $jobs */
    public function __construct(public int $total, #[Field(of: JobUse::class)] public array $jobs) {}
}
