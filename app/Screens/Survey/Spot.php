<?php

declare(strict_types=1);

namespace App\Screens\Survey;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** An outlet, box or battery on the sheet of walls. */
final readonly class Spot implements View
{
    use WrittenRecord;

    /** @param  list<float>  $at */
    public function __construct(
        public string $name,
        #[Field(oneOf: ['outlet', 'spur', 'box', 'battery', 'signal'])] public string $kind,
        public string $where,
        #[Field(of: Field::NUMBERS)] public array $at,
    ) {}
}
