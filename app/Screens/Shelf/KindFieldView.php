<?php

declare(strict_types=1);

namespace App\Screens\Shelf;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A field of a kind of kit. */
final readonly class KindFieldView implements View
{
    use WrittenRecord;

    /**
     * @param  list<string>  $choices
     * @param  string  $assumed  the value that an empty field has, in words; empty: none
     */
    public function __construct(
        public string $key,
        public string $label,
        public string $type,
        public string $unit,
        public bool $required,
        #[Field(of: Field::TEXTS)] public array $choices,
        public string $hint,
        public string $assumed,
    ) {}
}
