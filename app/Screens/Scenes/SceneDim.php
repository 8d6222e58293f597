<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use App\Screens\View;
use EmberDusk\Control\WhiteRange;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A light that can be dimmed, with its channels. */
final readonly class SceneDim implements View
{
    use WrittenRecord;

    /** @param  list<string>  $channels */
    public function __construct(
        public string $id,
        public string $name,
        #[Field(of: Field::TEXTS)] public array $channels,
        public ?WhiteRange $white,
        public bool $colours,
    ) {}
}
