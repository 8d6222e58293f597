<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\JsonReadable;
use EmberDusk\Formats\Record\Record;

/** A room or other place of the job, with its wall notes as typed. */
final readonly class Place implements JsonReadable
{
    use Record;

    public function __construct(public string $id, #[Field(longest: 60)] public string $name, public string $notes) {}
}
