<?php

declare(strict_types=1);

namespace App\Screens\Practice;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A button of a simulated app. */
final readonly class AppKey implements View
{
    use WrittenRecord;

    public function __construct(public string $device, public string $app, public string $text, public string $label) {}
}
