<?php

declare(strict_types=1);

namespace App\Screens\Parts;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A line of the quote. */
final readonly class QuoteLineView implements View
{
    use WrittenRecord;

    public function __construct(public string $what, public string $count, public string $amount) {}
}
