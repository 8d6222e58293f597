<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A strip in the drawing, with the length of each piece in metres, and its total in the job’s units. */
final readonly class BenchStrip implements View
{
    use WrittenRecord;

    /** @param  list<float>  $pieces */
    public function __construct(
        public string $id,
        public string $name,
        public float $length,
        public string $said,
        #[Field(of: Field::NUMBERS)] public array $pieces,
    ) {}
}
