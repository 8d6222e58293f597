<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\JsonWritable;

/** A feed of a proposed layout. */
final readonly class ProposedFeed implements JsonWritable
{
    use WrittenRecord;

    /**
     * @param  float  $at  metres from the start of the run
     * @param  string  $length  of its cable, in the units of the job
     */
    public function __construct(public float $at, public string $length) {}
}
