<?php

declare(strict_types=1);

namespace App\Screens\Join;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A lamp signal: its words and the times at which the lamp changes. */
final readonly class SignalView implements View
{
    use WrittenRecord;

    /** @param  list<float>  $times */
    public function __construct(public string $words, #[Field(of: Field::NUMBERS)] public array $times) {}
}
