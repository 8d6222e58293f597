<?php

declare(strict_types=1);

namespace App\Screens\Handover;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A kit entry by name. */
final readonly class KitNamed implements View
{
    use WrittenRecord;

    public function __construct(public string $id, public string $name) {}
}
