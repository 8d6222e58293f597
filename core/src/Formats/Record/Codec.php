<?php

declare(strict_types=1);

namespace EmberDusk\Formats\Record;

/** A value that reads and writes itself, as its JSON is not its constructor's fields. */
interface Codec extends JsonReadable
{
    /** @return array<string, mixed> JSON Schema of what is written */
    public static function schema(): array;
}
