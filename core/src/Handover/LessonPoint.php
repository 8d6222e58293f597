<?php

declare(strict_types=1);

namespace EmberDusk\Handover;

use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\JsonWritable;

/** A topic to show to the client, by the key of its tick. */
final readonly class LessonPoint implements JsonWritable
{
    use WrittenRecord;

    public function __construct(public string $key, public string $says) {}
}
