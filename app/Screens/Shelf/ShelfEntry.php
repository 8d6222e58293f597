<?php

declare(strict_types=1);

namespace App\Screens\Shelf;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A kit entry of the shelf. */
final readonly class ShelfEntry implements View
{
    use WrittenRecord;

    /** @param  list<string>  $facts */
    public function __construct(
        public string $id,
        public string $kind,
        public string $name,
        #[Field(of: Field::TEXTS)] public array $facts,
        public ?float $price,
    ) {}
}
