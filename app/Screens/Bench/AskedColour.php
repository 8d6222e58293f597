<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A colour that was asked for and the colour that was seen. */
final readonly class AskedColour implements View
{
    use WrittenRecord;

    public function __construct(public int $colour, public int $seen, public string $words, public bool $right) {}
}
