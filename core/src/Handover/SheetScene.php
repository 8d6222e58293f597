<?php

declare(strict_types=1);

namespace EmberDusk\Handover;

use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\JsonWritable;

/** A scene in words. */
final readonly class SheetScene implements JsonWritable
{
    use WrittenRecord;

    public function __construct(public string $name, public string $says) {}
}
