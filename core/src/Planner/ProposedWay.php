<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Costing\ChangedLine;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\Figure;
use EmberDusk\Values\JsonWritable;

/** A layout with its price and the change that makes it. */
final readonly class ProposedWay implements JsonWritable
{
    use WrittenRecord;

    /**
     * @param  list<string>  $parts
     * @param  list<ProposedRun>  $runs  every run; of an alternative the runs that differ from the proposal
     * @param  list<ChangedLine>  $bill  lines of the quote that change
     */
    public function __construct(
        #[Field(of: Field::TEXTS)] public array $parts,
        public Figure $cost,
        public Figure $quote,
        public int $joints,
        public int $boxes,
        public string $evenness,
        #[Field(of: ChangedLine::class)] public array $bill,
        public ChangePayload $take,
        #[Field(of: ProposedRun::class)] public array $runs,
    ) {}
}
