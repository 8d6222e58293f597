<?php

declare(strict_types=1);

namespace App\Screens\Parts;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A quote as it was given. */
final readonly class QuoteGiven implements View
{
    use WrittenRecord;

    /** @param  list<array<string, mixed>>  $changes */
    public function __construct(
        public int $revision,
        public string $at,
        public string $total,
        #[Field(defined: 'Parts/parts.json#/$defs/quoteChange')] public array $changes,
    ) {}
}
