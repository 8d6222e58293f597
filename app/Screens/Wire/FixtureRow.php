<?php

declare(strict_types=1);

namespace App\Screens\Wire;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\Fix;

/** A fixture with its module. */
final readonly class FixtureRow implements View
{
    use WrittenRecord;

    /** @param  list<Fix>  $choices */
    public function __construct(
        public string $id,
        public string $kit,
        public string $name,
        public string $place,
        public string $placeId,
        public int $count,
        public string $watts,
        public string $dim,
        public string $on,
        public string $volts,
        #[Field(of: Fix::class)] public array $choices,
        public string $note,
    ) {}
}
