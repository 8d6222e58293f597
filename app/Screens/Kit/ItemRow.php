<?php

declare(strict_types=1);

namespace App\Screens\Kit;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** An item that is part of the job beside runs and devices. */
final readonly class ItemRow implements View
{
    use WrittenRecord;

    public function __construct(
        public string $id,
        public string $kit,
        public string $kind,
        public string $name,
        public string $place,
        public int $count,
        public string $on,
    ) {}
}
