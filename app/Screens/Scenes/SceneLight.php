<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** Level and colour of a light in a scene. */
final readonly class SceneLight implements View
{
    use WrittenRecord;

    /** @param  list<float>  $duties */
    public function __construct(
        public string $of,
        public string $name,
        #[Field(of: Field::NUMBERS)] public array $duties,
        public float $level,
        public string $colour,
    ) {}
}
