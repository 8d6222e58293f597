<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\JsonWritable;

/** Runs for which no layout is possible. */
final readonly class ClashingRuns implements JsonWritable
{
    use WrittenRecord;

    /**
     * @param  string  $run  their names
     * @param  list<string>  $limits  that clash
     * @param  list<string>  $broken  by the nearest layout
     * @param  bool  $all  whether every layout was tried
     * @param  list<Repair>  $ways  changes after which they can be wired
     */
    public function __construct(
        public string $run,
        #[Field(of: Field::TEXTS)] public array $limits,
        #[Field(of: Field::TEXTS)] public array $broken,
        public bool $all,
        #[Field(of: Repair::class)] public array $ways,
    ) {}
}
