<?php

declare(strict_types=1);

namespace App\Screens\Survey;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A wall with its length. */
final readonly class Wall implements View
{
    use WrittenRecord;

    public function __construct(public int $leg, public string $text) {}
}
