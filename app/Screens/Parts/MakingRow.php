<?php

declare(strict_types=1);

namespace App\Screens\Parts;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** How a run is assembled. */
final readonly class MakingRow implements View
{
    use WrittenRecord;

    /** @param  list<MakingField>  $fields */
    public function __construct(
        public string $run,
        public string $name,
        public string $place,
        public bool $inProfile,
        #[Field(of: MakingField::class)] public array $fields,
    ) {}
}
