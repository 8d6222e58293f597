<?php

declare(strict_types=1);

namespace App\Screens\Shelf;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** Shelf page: kinds and entries found. */
final readonly class ShelfPage implements View
{
    use WrittenRecord;

    /** @param  list<KindView>  $kinds */
    public function __construct(#[Field(of: KindView::class)] public array $kinds, public ShelfResults $found) {}
}
