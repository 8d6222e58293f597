<?php

declare(strict_types=1);

namespace EmberDusk\Formats\Record;

use EmberDusk\Values\JsonWritable;

/** Records under keys that other code knows, each of its own class and perhaps null; for a field that is inline. */
interface RecordsByKey extends JsonWritable
{
    /** @return array<string, string> classes by key */
    public static function classes(): array;
}
