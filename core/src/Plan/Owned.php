<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\JsonReadable;
use EmberDusk\Formats\Record\Record;

/** Kit that the client has already: it costs nothing. The id is the shelf entry's. */
final readonly class Owned implements JsonReadable
{
    use Record;

    public function __construct(public string $id, #[Field(1, 1000)] public int $count) {}
}
