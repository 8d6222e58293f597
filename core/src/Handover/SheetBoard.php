<?php

declare(strict_types=1);

namespace EmberDusk\Handover;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\JsonWritable;

/** The control matrix on the sheet. */
final readonly class SheetBoard implements JsonWritable
{
    use WrittenRecord;

    /**
     * @param  list<string>  $controls
     * @param  list<SheetBoardRow>  $rows
     */
    public function __construct(
        #[Field(of: Field::TEXTS)] public array $controls,
        #[Field(of: SheetBoardRow::class)] public array $rows,
    ) {}
}
