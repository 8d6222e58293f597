<?php

declare(strict_types=1);

namespace App\Screens\Parts;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** An offcut in the van. */
final readonly class OffcutView implements View
{
    use WrittenRecord;

    public function __construct(
        public int $id,
        public string $kit,
        public string $name,
        public string $metres,
        public bool $packed,
    ) {}
}
