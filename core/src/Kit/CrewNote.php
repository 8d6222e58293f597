<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\JsonWritable;

/** A crew's note about a kit entry. */
final readonly class CrewNote implements JsonWritable
{
    use WrittenRecord;

    /**
     * @param  string  $kit  name of the entry
     * @param  string  $day  YYYY-MM-DD
     * @param  string  $by  who wrote it
     */
    public function __construct(
        public int $id,
        public string $entry,
        public string $kit,
        public string $says,
        public string $day,
        public string $by,
    ) {}
}
