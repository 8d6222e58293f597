<?php

declare(strict_types=1);

namespace App\Screens\Wire;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** An entry that can be chosen, with a short label. */
final readonly class CableOption implements View
{
    use WrittenRecord;

    public function __construct(public string $id, public string $name, public string $label) {}
}
