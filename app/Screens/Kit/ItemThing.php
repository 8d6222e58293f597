<?php

declare(strict_types=1);

namespace App\Screens\Kit;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A thing with its id. */
final readonly class ItemThing implements View
{
    use WrittenRecord;

    public function __construct(public string $id, public string $name) {}
}
