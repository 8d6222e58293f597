<?php

declare(strict_types=1);

namespace App\Screens\Shelf;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** Jobs that use an entry. */
final readonly class Uses implements View
{
    use WrittenRecord;

    /** @param  list<UseView>  $jobs */
    public function __construct(public int $total, #[Field(of: UseView::class)] public array $jobs) {}
}
