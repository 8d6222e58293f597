<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A start on a day. */
final readonly class AgendaLine implements View
{
    use WrittenRecord;

    public function __construct(public string $at, public string $words, public string $says) {}
}
