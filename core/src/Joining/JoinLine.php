<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\JsonWritable;

/** A line of the run’s log, with the time of its clock. */
final readonly class JoinLine implements JsonWritable
{
    use WrittenRecord;

    public function __construct(public string $at, public string $kind, public string $device, public string $text) {}
}
