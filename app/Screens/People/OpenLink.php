<?php

declare(strict_types=1);

namespace App\Screens\People;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A link that is not used yet; its address was shown when it was made. */
final readonly class OpenLink implements View
{
    use WrittenRecord;

    public function __construct(public int $id, public string $for, public string $until) {}
}
