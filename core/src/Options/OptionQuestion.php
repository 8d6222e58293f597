<?php

declare(strict_types=1);

namespace EmberDusk\Options;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\JsonWritable;

/** A question of an option, with its possible answers. */
final readonly class OptionQuestion implements JsonWritable
{
    use WrittenRecord;

    /**
     * @param  list<OptionChoice>  $choices
     */
    public function __construct(
        public string $key,
        public string $label,
        #[Field(of: OptionChoice::class)] public array $choices,
    ) {}
}
