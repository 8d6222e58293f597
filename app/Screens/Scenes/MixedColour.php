<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A colour as mixed by the channels of a light. */
final readonly class MixedColour implements View
{
    use WrittenRecord;

    /** @param  list<float>  $duties */
    public function __construct(
        #[Field(of: Field::NUMBERS)] public array $duties,
        public float $level,
        public string $colour,
        public string $note,
    ) {}
}
