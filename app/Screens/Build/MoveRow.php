<?php

declare(strict_types=1);

namespace App\Screens\Build;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A total before and after a move. */
final readonly class MoveRow implements View
{
    use WrittenRecord;

    public function __construct(public string $what, public string $before, public string $after) {}
}
