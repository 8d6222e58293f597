<?php

declare(strict_types=1);

namespace App\Screens\Survey;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A run on the sheet of walls. */
final readonly class SheetRun implements View
{
    use WrittenRecord;

    /** @param  list<list<list<float>>>  $sections */
    public function __construct(
        public string $word,
        public string $text,
        #[Field(of: Field::NUMBERS, depth: 3)] public array $sections,
    ) {}
}
