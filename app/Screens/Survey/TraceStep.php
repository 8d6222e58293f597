<?php

declare(strict_types=1);

namespace App\Screens\Survey;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** The next link to make and ends to measure. */
final readonly class TraceStep implements View
{
    use WrittenRecord;

    /**
     * @param  list<string>  $link
     * @param  list<string>  $open
     * @param  list<int>  $cores
     */
    public function __construct(
        #[Field(of: Field::TEXTS)] public array $link,
        #[Field(of: Field::TEXTS)] public array $open,
        public int $end,
        #[Field(of: Field::WHOLES)] public array $cores,
        public bool $same,
    ) {}
}
