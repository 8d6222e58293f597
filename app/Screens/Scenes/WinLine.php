<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** Which start wins where two fight over lights. */
final readonly class WinLine implements View
{
    use WrittenRecord;

    public function __construct(public string $lights, public string $says, public bool $fights) {}
}
