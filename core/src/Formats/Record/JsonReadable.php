<?php

declare(strict_types=1);

namespace EmberDusk\Formats\Record;

use EmberDusk\Formats\Fields;
use EmberDusk\Values\JsonWritable;

/** A value that is read from JSON and written to it. */
interface JsonReadable extends JsonWritable
{
    /** @throws \EmberDusk\Values\Refusal with a JSON Pointer to the first value that is not allowed */
    public static function read(Fields $f): self;
}
