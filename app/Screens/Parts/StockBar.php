<?php

declare(strict_types=1);

namespace App\Screens\Parts;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A bought length with its pieces. */
final readonly class StockBar implements View
{
    use WrittenRecord;

    /** @param  list<StockPiece>  $pieces */
    public function __construct(
        public int $length,
        public int $left,
        public bool $offcut,
        #[Field(of: StockPiece::class)] public array $pieces,
        public string $leftSaid,
    ) {}
}
