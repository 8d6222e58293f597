<?php

declare(strict_types=1);

namespace App\Screens\Wire;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** Levels of a light in a scene. */
final readonly class SceneLevel implements View
{
    use WrittenRecord;

    /** @param  list<float>  $duties */
    public function __construct(public string $of, #[Field(of: Field::NUMBERS)] public array $duties) {}
}
