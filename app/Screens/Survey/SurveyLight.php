<?php

declare(strict_types=1);

namespace App\Screens\Survey;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A kind of light by its key. */
final readonly class SurveyLight implements View
{
    use WrittenRecord;

    public function __construct(public string $key, public string $words) {}
}
