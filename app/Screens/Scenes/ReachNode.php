<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A device on the plan of reach. */
final readonly class ReachNode implements View
{
    use WrittenRecord;

    public function __construct(
        public string $id,
        public string $label,
        public string $name,
        public float $x,
        public float $y,
        public ?int $hops,
        public bool $cut,
        public bool $passes,
        public bool $guessed,
        public bool $below,
    ) {}
}
