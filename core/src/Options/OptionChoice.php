<?php

declare(strict_types=1);

namespace EmberDusk\Options;

use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\JsonWritable;

/** A possible answer of a question. */
final readonly class OptionChoice implements JsonWritable
{
    use WrittenRecord;

    public function __construct(public string|int|float $value, public string $text) {}
}
