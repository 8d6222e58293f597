<?php

declare(strict_types=1);

namespace App\Screens\Build;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** Cost of a move of a step: what breaks and what changes. */
final readonly class MoveCostView implements View
{
    use WrittenRecord;

    /**
     * @param  list<string>  $broken
     * @param  list<MoveRow>  $costs
     */
    public function __construct(
        #[Field(of: Field::TEXTS)] public array $broken,
        #[Field(of: MoveRow::class)] public array $costs,
    ) {}
}
