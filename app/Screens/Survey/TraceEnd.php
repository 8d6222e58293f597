<?php

declare(strict_types=1);

namespace App\Screens\Survey;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A far end and the legs that lead to it. */
final readonly class TraceEnd implements View
{
    use WrittenRecord;

    /** @param  list<string>  $legs */
    public function __construct(public int $number, #[Field(of: Field::TEXTS)] public array $legs) {}
}
