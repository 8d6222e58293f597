<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A radio link between two devices. */
final readonly class ReachLink implements View
{
    use WrittenRecord;

    public function __construct(public string $from, public string $to, public float $spare) {}
}
