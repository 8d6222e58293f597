<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A control that keeps scenes, and how many. */
final readonly class PresetKeeper implements View
{
    use WrittenRecord;

    /** @param  list<string>  $scenes */
    public function __construct(
        public string $control,
        public ?int $room,
        #[Field(of: Field::TEXTS)] public array $scenes,
    ) {}
}
