<?php

declare(strict_types=1);

namespace EmberDusk\Handover;

use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\JsonWritable;

/** A reading beside its prediction. */
final readonly class SheetReading implements JsonWritable
{
    use WrittenRecord;

    public function __construct(
        public string $where,
        public string $read,
        public string $expected,
        public string $verdict,
    ) {}
}
