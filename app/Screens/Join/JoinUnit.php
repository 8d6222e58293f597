<?php

declare(strict_types=1);

namespace App\Screens\Join;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A device of the run, with its label. */
final readonly class JoinUnit implements View
{
    use WrittenRecord;

    public function __construct(
        public string $id,
        public string $label,
        public string $name,
        public string $item,
        public bool $used,
    ) {}
}
