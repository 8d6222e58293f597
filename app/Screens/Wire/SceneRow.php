<?php

declare(strict_types=1);

namespace App\Screens\Wire;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A scene with its levels. */
final readonly class SceneRow implements View
{
    use WrittenRecord;

    /** @param  list<SceneLevel>  $levels */
    public function __construct(
        public string $id,
        public string $name,
        #[Field(of: SceneLevel::class)] public array $levels,
    ) {}
}
