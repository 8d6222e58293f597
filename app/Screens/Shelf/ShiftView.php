<?php

declare(strict_types=1);

namespace App\Screens\Shelf;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** Figures and findings that a change of an entry moves in a job. */
final readonly class ShiftView implements View
{
    use WrittenRecord;

    /**
     * @param  list<MovedFigure>  $figures
     * @param  list<string>  $comes
     * @param  list<string>  $goes
     */
    public function __construct(
        #[Field(of: MovedFigure::class)] public array $figures,
        #[Field(of: Field::TEXTS)] public array $comes,
        #[Field(of: Field::TEXTS)] public array $goes,
    ) {}
}
