<?php

declare(strict_types=1);

namespace EmberDusk\Handover;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\JsonWritable;

/** A light of the control matrix on the sheet. */
final readonly class SheetBoardRow implements JsonWritable
{
    use WrittenRecord;

    /**
     * @param  list<string>  $cells  a word for each control
     */
    public function __construct(public string $light, #[Field(of: Field::TEXTS)] public array $cells) {}
}
