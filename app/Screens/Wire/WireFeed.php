<?php

declare(strict_types=1);

namespace App\Screens\Wire;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A feed of a run. */
final readonly class WireFeed implements View
{
    use WrittenRecord;

    /** @param  bool  $past  whether its cable begins at a supply, past the board of the run */
    public function __construct(
        public string $id,
        public int $pad,
        public float $at,
        public ?WireCable $cable,
        public bool $past,
    ) {}
}
