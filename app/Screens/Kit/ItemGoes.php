<?php

declare(strict_types=1);

namespace App\Screens\Kit;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** Kinds of things that a kind of item goes with. */
final readonly class ItemGoes implements View
{
    use WrittenRecord;

    /** @param  list<ItemThing>  $with */
    public function __construct(public string $kind, #[Field(of: ItemThing::class)] public array $with) {}
}
