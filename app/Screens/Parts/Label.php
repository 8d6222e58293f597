<?php

declare(strict_types=1);

namespace App\Screens\Parts;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A label to print, with its lines. */
final readonly class Label implements View
{
    use WrittenRecord;

    /** @param  list<string>  $lines */
    public function __construct(
        public string $key,
        public string $title,
        #[Field(of: Field::TEXTS)] public array $lines,
        public string $stage,
        public string $of,
    ) {}
}
