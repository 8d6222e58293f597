<?php

declare(strict_types=1);

namespace App\Screens\Join;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A loss or replacement after which devices are joined again. */
final readonly class JoinLoss implements View
{
    use WrittenRecord;

    public function __construct(public string $key, public string $title, public string $says) {}
}
