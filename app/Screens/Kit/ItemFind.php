<?php

declare(strict_types=1);

namespace App\Screens\Kit;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A shelf entry that can be another item of the job. */
final readonly class ItemFind implements View
{
    use WrittenRecord;

    /** @param  string|null  $misfit  why it controls no light of the job; null where it does, or is no control */
    public function __construct(public string $id, public string $kind, public string $name, public ?string $misfit) {}
}
