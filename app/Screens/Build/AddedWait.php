<?php

declare(strict_types=1);

namespace App\Screens\Build;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A step that was put after another by hand. */
final readonly class AddedWait implements View
{
    use WrittenRecord;

    public function __construct(public string $step, public string $after) {}
}
