<?php

declare(strict_types=1);

namespace EmberDusk\Handover;

use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\JsonWritable;

/** A control tested for a light, with the result. */
final readonly class AcceptedRow implements JsonWritable
{
    use WrittenRecord;

    public function __construct(public string $control, public string $light, public string $at, public string $says) {}
}
