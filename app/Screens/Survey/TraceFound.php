<?php

declare(strict_types=1);

namespace App\Screens\Survey;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A cable leg whose far end was found. */
final readonly class TraceFound implements View
{
    use WrittenRecord;

    public function __construct(public string $leg, public string $text) {}
}
