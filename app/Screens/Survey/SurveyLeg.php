<?php

declare(strict_types=1);

namespace App\Screens\Survey;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A cable leg of a place. */
final readonly class SurveyLeg implements View
{
    use WrittenRecord;

    public function __construct(
        public string $name,
        public string $way,
        public string $text,
        public string $laid,
        public string $state,
        public int $line,
    ) {}
}
