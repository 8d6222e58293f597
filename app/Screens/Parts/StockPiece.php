<?php

declare(strict_types=1);

namespace App\Screens\Parts;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A piece of a bought length. */
final readonly class StockPiece implements View
{
    use WrittenRecord;

    public function __construct(public int $mm, public string $what, public string $said) {}
}
