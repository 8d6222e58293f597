<?php

declare(strict_types=1);

namespace EmberDusk\Costing;

use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\JsonWritable;

/** A line in which two quotes or costs differ. */
final readonly class ChangedLine implements JsonWritable
{
    use WrittenRecord;

    public function __construct(
        public string $what,
        public string $then,
        public string $now,
        public string $difference,
    ) {}
}
