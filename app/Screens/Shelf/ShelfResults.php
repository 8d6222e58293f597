<?php

declare(strict_types=1);

namespace App\Screens\Shelf;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A page of the entries that were found. */
final readonly class ShelfResults implements View
{
    use WrittenRecord;

    /**
     * @param  list<KindCount>  $counts
     * @param  list<ShelfEntry>  $entries
     */
    public function __construct(
        public int $total,
        public int $page,
        public int $pages,
        #[Field(of: KindCount::class)] public array $counts,
        #[Field(of: ShelfEntry::class)] public array $entries,
    ) {}
}
