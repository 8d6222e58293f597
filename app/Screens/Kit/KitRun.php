<?php

declare(strict_types=1);

namespace App\Screens\Kit;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A run with its slots. */
final readonly class KitRun implements View
{
    use WrittenRecord;

    /** @param  list<SlotView>  $slots */
    public function __construct(
        public string $id,
        public string $name,
        public string $length,
        #[Field(of: SlotView::class)] public array $slots,
    ) {}
}
