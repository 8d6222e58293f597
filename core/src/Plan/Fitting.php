<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\JsonReadable;
use EmberDusk\Formats\Record\Record;

/** Fixtures of one kind at one place: so many together, on a cable of their own or under a dimming module. */
final readonly class Fitting implements JsonReadable
{
    use Record;

    /** @param  string|null  $module device id of its dimming module; null for those on a supply */
    public function __construct(
        public string $id,
        public string $kit,
        public string $place,
        #[Field(1, 200)] public int $count,
        public ?string $module,
    ) {}
}
