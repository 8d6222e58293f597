<?php

declare(strict_types=1);

namespace App\Screens\Parts;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A field of an assembly, with its choices. */
final readonly class MakingField implements View
{
    use WrittenRecord;

    /** @param  list<MakingChoice>  $choices */
    public function __construct(
        public string $field,
        public string $label,
        public string $value,
        #[Field(of: MakingChoice::class)] public array $choices,
    ) {}
}
