<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A run in the colours of a scene. */
final readonly class SceneRibbon implements View
{
    use WrittenRecord;

    /** @param  list<string>  $seen */
    public function __construct(
        public string $run,
        public string $name,
        public float $metres,
        #[Field(of: Field::TEXTS)] public array $seen,
        public float $level,
    ) {}
}
