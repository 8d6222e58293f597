<?php

declare(strict_types=1);

namespace App\Screens\Practice;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A lamp signal of the instructions. */
final readonly class LeafletSignal implements View
{
    use WrittenRecord;

    /** @param  list<float>  $times */
    public function __construct(
        public string $what,
        public string $words,
        #[Field(of: Field::NUMBERS)] public array $times,
    ) {}
}
