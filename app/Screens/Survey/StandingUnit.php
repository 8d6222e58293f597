<?php

declare(strict_types=1);

namespace App\Screens\Survey;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Plan\Standing;

/** A device and where it stands. */
final readonly class StandingUnit implements View
{
    use WrittenRecord;

    /** @param  list<float>|null  $at */
    public function __construct(
        public string $id,
        public string $name,
        public string $words,
        public ?Standing $stands,
        #[Field(of: Field::NUMBERS)] public ?array $at,
    ) {}
}
