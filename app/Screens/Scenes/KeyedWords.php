<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A key with its words. */
final readonly class KeyedWords implements View
{
    use WrittenRecord;

    public function __construct(public string $key, public string $says) {}
}
