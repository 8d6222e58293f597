<?php

declare(strict_types=1);

namespace EmberDusk\Handover;

use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\JsonWritable;

/** Where a device is. */
final readonly class HidingRow implements JsonWritable
{
    use WrittenRecord;

    public function __construct(public string $label, public string $name, public string $where) {}
}
