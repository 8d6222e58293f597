<?php

declare(strict_types=1);

namespace App\Screens\Practice;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A device in a simulated app. */
final readonly class AppLine implements View
{
    use WrittenRecord;

    public function __construct(public string $device, public string $app, public string $name, public string $given) {}
}
