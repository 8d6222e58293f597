<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A cell of the control matrix: whether a control works a light, and why. */
final readonly class BoardCell implements View
{
    use WrittenRecord;

    public function __construct(
        public string $control,
        public string $light,
        #[Field(oneOf: ['works', 'planned', 'open', 'cannot', 'clashes'])] public string $state,
        public int $zone,
        public string $why,
        public bool $decided,
        public string $limited,
    ) {}
}
