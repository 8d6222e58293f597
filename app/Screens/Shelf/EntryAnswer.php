<?php

declare(strict_types=1);

namespace App\Screens\Shelf;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** An entry with the jobs that use it. */
final readonly class EntryAnswer implements View
{
    use WrittenRecord;

    /** @param  array<string, string>  $cells  by field of the kind */
    public function __construct(#[Field(of: Field::TEXTS, map: true)] public array $cells, public EntryUses $uses) {}
}
