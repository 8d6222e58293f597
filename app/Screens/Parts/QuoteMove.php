<?php

declare(strict_types=1);

namespace App\Screens\Parts;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\Figure;

/** Difference that a change makes to the quote. */
final readonly class QuoteMove implements View
{
    use WrittenRecord;

    /** @param  list<array<string, mixed>>  $lines */
    public function __construct(
        public Figure $moves,
        #[Field(defined: 'Parts/parts.json#/$defs/quoteChange')] public array $lines,
    ) {}
}
