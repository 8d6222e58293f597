<?php

declare(strict_types=1);

namespace EmberDusk\Formats\Record;

use EmberDusk\Values\JsonWritable;

/** Records by keys from other code, with a class for each key and null where there is none. For an inline field. */
interface RecordsByKey extends JsonWritable
{
    /** @return array<string, string> classes by key */
    public static function classes(): array;
}
