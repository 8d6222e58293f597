<?php

declare(strict_types=1);

namespace App\Screens\Parts;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\Figure;

/** Cuts of a kit entry from bought lengths. */
final readonly class StockCutView implements View
{
    use WrittenRecord;

    /**
     * @param  list<TooLong>  $tooLong
     * @param  list<StockBar>  $bars
     */
    public function __construct(
        public string $kit,
        public string $name,
        public int $stock,
        public Figure $bought,
        public int $joints,
        public int $left,
        public bool $proven,
        #[Field(of: TooLong::class)] public array $tooLong,
        #[Field(of: StockBar::class)] public array $bars,
        public string $field,
        public string $said,
        public string $leftSaid,
        public bool $keeps,
        public string $shorter,
    ) {}
}
