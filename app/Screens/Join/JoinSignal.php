<?php

declare(strict_types=1);

namespace App\Screens\Join;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A lamp signal that is under way. */
final readonly class JoinSignal implements View
{
    use WrittenRecord;

    /** @param  list<float>  $times */
    public function __construct(public float $from, #[Field(of: Field::NUMBERS)] public array $times) {}
}
