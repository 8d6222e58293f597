<?php

declare(strict_types=1);

namespace App\Screens\Build;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A day with the people who are there. */
final readonly class BuildDay implements View
{
    use WrittenRecord;

    public function __construct(public string $day, public int $people, public ?int $visit) {}
}
