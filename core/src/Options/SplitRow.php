<?php

declare(strict_types=1);

namespace EmberDusk\Options;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\Figure;
use EmberDusk\Values\JsonWritable;

/** A way to split a run as a row of the comparison. */
final readonly class SplitRow implements JsonWritable
{
    use WrittenRecord;

    /**
     * @param  list<string>  $stops
     * @param  list<SplitPart>  $sketch  parts from the run's start
     * @param  string|null  $refused  why it is not possible
     * @param  ChangePayload|null  $take  the change that chooses it
     */
    public function __construct(
        public string $how,
        public string $label,
        public ?Figure $amps,
        public ?Figure $drop,
        public ?Figure $evenness,
        public ?Figure $joints,
        public ?Figure $units,
        public ?Figure $cost,
        public ?Figure $quote,
        #[Field(of: Field::TEXTS)] public array $stops,
        #[Field(of: SplitPart::class)] public array $sketch,
        public ?string $refused,
        public ?ChangePayload $take,
    ) {}
}
