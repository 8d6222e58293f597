<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\JsonReadable;
use EmberDusk\Formats\Record\Record;

/** Name and room of a joined controller in the hub's app. The id is the controller's. */
final readonly class Light implements JsonReadable
{
    use Record;

    public function __construct(
        public string $id,
        #[Field(longest: 80)] public string $name,
        #[Field(longest: 80)] public string $room,
    ) {}
}
