<?php

declare(strict_types=1);

namespace App\Screens\Parts;

use App\Screens\View;
use EmberDusk\Costing\ChangedLine;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A quote as it was given. */
final readonly class QuoteGiven implements View
{
    use WrittenRecord;

    /** @param  list<ChangedLine>  $changes */
    public function __construct(
        public int $revision,
        public string $at,
        public string $total,
        #[Field(of: ChangedLine::class)] public array $changes,
    ) {}
}
