<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\JsonReadable;
use EmberDusk\Formats\Record\Record;

/** How many of a part are taken along on top, where that is not one in ten. The id is the shelf entry's. */
final readonly class Spare implements JsonReadable
{
    use Record;

    public function __construct(public string $id, #[Field(0, 10_000)] public int $count) {}
}
