<?php

declare(strict_types=1);

namespace App\Screens\Shelf;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** Number of entries of a kind. */
final readonly class KindCount implements View
{
    use WrittenRecord;

    public function __construct(public string $kind, public int $count) {}
}
