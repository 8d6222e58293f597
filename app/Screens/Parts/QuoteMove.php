<?php

declare(strict_types=1);

namespace App\Screens\Parts;

use App\Screens\View;
use EmberDusk\Costing\ChangedLine;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\Figure;

/** Difference that a change makes to the quote. */
final readonly class QuoteMove implements View
{
    use WrittenRecord;

    /** @param  list<ChangedLine>  $lines */
    public function __construct(public Figure $moves, #[Field(of: ChangedLine::class)] public array $lines) {}
}
