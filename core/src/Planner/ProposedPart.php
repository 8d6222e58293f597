<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\JsonWritable;

/** A supply, controller or cable of a proposed layout, beside the current one. */
final readonly class ProposedPart implements JsonWritable
{
    use WrittenRecord;

    /** @param  string|null  $was  the current one; empty where there is none, null where it is the same */
    public function __construct(public string $words, public ?string $was) {}
}
