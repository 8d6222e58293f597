<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A row of the truth table of starts. */
final readonly class TruthRow implements View
{
    use WrittenRecord;

    /**
     * @param  list<string>  $on
     * @param  list<WinLine>  $wins
     */
    public function __construct(
        #[Field(of: Field::TEXTS)] public array $on,
        #[Field(of: WinLine::class)] public array $wins,
    ) {}
}
