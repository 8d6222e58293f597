<?php

declare(strict_types=1);

namespace App\Screens\Build;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A wait for delivery or for a material to set. */
final readonly class BuildWait implements View
{
    use WrittenRecord;

    /** @param  list<string>  $meanwhile */
    public function __construct(
        public string $step,
        public string $part,
        public string $from,
        public string $until,
        #[Field(of: Field::TEXTS)] public array $meanwhile,
    ) {}
}
