<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\JsonWritable;

/** A run that was not planned. */
final readonly class LeftRun implements JsonWritable
{
    use WrittenRecord;

    public function __construct(public string $run, public string $why) {}
}
