<?php

declare(strict_types=1);

namespace App\Screens\Kit;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** Items that are part of the job beside runs and devices. */
final readonly class ItemsPicture implements View
{
    use WrittenRecord;

    /**
     * @param  list<ItemRow>  $items
     * @param  list<ItemThing>  $places
     * @param  list<ItemGoes>  $goes
     */
    public function __construct(
        #[Field(of: ItemRow::class)] public array $items,
        #[Field(of: ItemThing::class)] public array $places,
        #[Field(of: ItemGoes::class)] public array $goes,
    ) {}
}
