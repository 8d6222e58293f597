<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Costing\ChangedLine;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\Figure;
use EmberDusk\Values\JsonWritable;

/** The current layout beside the proposal. */
final readonly class DrawnWay implements JsonWritable
{
    use WrittenRecord;

    /**
     * @param  string  $dearer  than the proposal
     * @param  list<ChangedLine>  $lines
     * @param  bool  $keep  whether it is as good
     * @param  list<string>  $broken
     */
    public function __construct(
        public Figure $cost,
        public string $dearer,
        #[Field(of: ChangedLine::class)] public array $lines,
        public bool $keep,
        #[Field(of: Field::TEXTS)] public array $broken,
        public string $evenness,
        public ?Repair $repair,
    ) {}
}
