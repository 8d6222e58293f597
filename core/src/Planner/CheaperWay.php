<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\Figure;
use EmberDusk\Values\JsonWritable;

/** A cheaper layout, with the limits that it breaks. */
final readonly class CheaperWay implements JsonWritable
{
    use WrittenRecord;

    /**
     * @param  list<string>  $broken
     */
    public function __construct(
        public string $label,
        public Figure $cost,
        #[Field(of: Field::TEXTS)] public array $broken,
    ) {}
}
