<?php

declare(strict_types=1);

namespace EmberDusk\Options;

use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\JsonWritable;

/** A problem of an option. */
final readonly class OptionFinding implements JsonWritable
{
    use WrittenRecord;

    public function __construct(public string $severity, public string $title, public string $detail) {}
}
