<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** The reading that tells most. */
final readonly class BenchNext implements View
{
    use WrittenRecord;

    /** @param  list<BenchExpects>  $expects */
    public function __construct(
        public string $spot,
        public string $command,
        public string $words,
        #[Field(of: BenchExpects::class)] public array $expects,
    ) {}
}
