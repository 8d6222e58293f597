<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** Counted sections of a pixel run, with what the counts mean. */
final readonly class BenchCount implements View
{
    use WrittenRecord;

    /**
     * @param  list<int>  $sections
     * @param  list<BenchTry>  $tries
     */
    public function __construct(
        public string $verdict,
        public string $says,
        public string $todo,
        public ?int $set,
        public int $expected,
        #[Field(of: Field::WHOLES)] public array $sections,
        #[Field(of: BenchTry::class)] public array $tries,
        public string $mends,
    ) {}
}
