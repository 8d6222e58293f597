<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** Scenes that controls keep, and those that remain. */
final readonly class PresetPicture implements View
{
    use WrittenRecord;

    /**
     * @param  list<PresetKeeper>  $kept
     * @param  list<string>  $left
     */
    public function __construct(
        #[Field(of: PresetKeeper::class)] public array $kept,
        #[Field(of: Field::TEXTS)] public array $left,
    ) {}
}
