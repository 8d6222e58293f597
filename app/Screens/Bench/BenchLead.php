<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A colour lead of a run and the output that it is connected to. */
final readonly class BenchLead implements View
{
    use WrittenRecord;

    public function __construct(
        public int $output,
        public int $to,
        #[Field(oneOf: ['right', 'moved', 'loose', 'touches', 'open'])] public string $state,
    ) {}
}
