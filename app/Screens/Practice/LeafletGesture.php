<?php

declare(strict_types=1);

namespace App\Screens\Practice;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A gesture of the instructions. */
final readonly class LeafletGesture implements View
{
    use WrittenRecord;

    public function __construct(public string $what, public string $words) {}
}
