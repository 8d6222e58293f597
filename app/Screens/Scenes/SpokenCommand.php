<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use App\Screens\View;
use EmberDusk\Control\SpokenLight;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A spoken command and what it does. */
final readonly class SpokenCommand implements View
{
    use WrittenRecord;

    /** @param  list<SpokenLight>  $answers */
    public function __construct(
        public string $words,
        public bool $understood,
        #[Field(of: SpokenLight::class)] public array $answers,
        public string $trouble,
        public string $note,
    ) {}
}
