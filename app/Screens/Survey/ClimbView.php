<?php

declare(strict_types=1);

namespace App\Screens\Survey;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A climb on the sheet of walls. */
final readonly class ClimbView implements View
{
    use WrittenRecord;

    /** @param  list<float>  $at */
    public function __construct(
        #[Field(of: Field::NUMBERS)] public array $at,
        public string $text,
        public bool $down,
    ) {}
}
