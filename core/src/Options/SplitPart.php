<?php

declare(strict_types=1);

namespace EmberDusk\Options;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\JsonWritable;

/** A part of a split run. */
final readonly class SplitPart implements JsonWritable
{
    use WrittenRecord;

    /**
     * @param  float  $share  of the run's length
     * @param  list<float>  $feeds  their places, as shares of the part
     * @param  string  $unit  that feeds it
     */
    public function __construct(
        public float $share,
        #[Field(of: Field::NUMBERS)] public array $feeds,
        public string $unit,
    ) {}
}
