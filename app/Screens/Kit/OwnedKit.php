<?php

declare(strict_types=1);

namespace App\Screens\Kit;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A kit entry that the client owns already. */
final readonly class OwnedKit implements View
{
    use WrittenRecord;

    public function __construct(public string $kit, public string $name, public int $count) {}
}
