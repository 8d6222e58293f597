<?php

declare(strict_types=1);

namespace App\Screens\Survey;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** An opening in a wall. */
final readonly class OpeningView implements View
{
    use WrittenRecord;

    /**
     * @param  list<float>  $from
     * @param  list<float>  $to
     */
    public function __construct(
        #[Field(of: Field::NUMBERS)] public array $from,
        #[Field(of: Field::NUMBERS)] public array $to,
        public string $what,
    ) {}
}
