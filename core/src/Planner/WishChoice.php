<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\JsonWritable;

/** A choice that can be asked for, by key, in words. */
final readonly class WishChoice implements JsonWritable
{
    use WrittenRecord;

    public function __construct(public string $key, public string $words) {}
}
