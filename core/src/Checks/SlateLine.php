<?php

declare(strict_types=1);

namespace EmberDusk\Checks;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;
use EmberDusk\Values\JsonWritable;
use EmberDusk\Values\Severity;

/** A line of the open points: one cause with its places, and one common fix if it is the same. */
final readonly class SlateLine implements JsonWritable
{
    use WrittenRecord;

    /** @param  list<int>  $at  positions of its findings */
    public function __construct(
        public Severity $severity,
        public JobStage $stage,
        public string $title,
        #[Field(of: Field::WHOLES)] public array $at,
        public ?Fix $fix,
    ) {}
}
