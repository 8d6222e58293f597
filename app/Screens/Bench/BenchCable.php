<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A cable in the drawing, from one device to another or to a run. */
final readonly class BenchCable implements View
{
    use WrittenRecord;

    public function __construct(
        public string $id,
        public string $from,
        public string $to,
        public string $run,
        public ?float $at,
    ) {}
}
