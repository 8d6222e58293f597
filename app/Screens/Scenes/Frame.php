<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** Colours of all lights at a time. */
final readonly class Frame implements View
{
    use WrittenRecord;

    /** @param  list<string>  $colours */
    public function __construct(public float $at, #[Field(of: Field::TEXTS)] public array $colours) {}
}
