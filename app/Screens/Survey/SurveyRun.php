<?php

declare(strict_types=1);

namespace App\Screens\Survey;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;
use EmberDusk\Values\Figure;

/** A run of a place. */
final readonly class SurveyRun implements View
{
    use WrittenRecord;

    /** @param  list<string>  $mounting */
    public function __construct(
        public string $id,
        public string $name,
        public Figure $length,
        public ?Figure $apart,
        #[Field(of: Field::TEXTS)] public array $mounting,
        public string $light,
        public string $height,
    ) {}
}
