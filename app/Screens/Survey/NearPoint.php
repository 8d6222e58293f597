<?php

declare(strict_types=1);

namespace App\Screens\Survey;

use App\Screens\View;
use EmberDusk\Formats\Record\Field;
use EmberDusk\Formats\Record\WrittenRecord;

/** A point where cable legs end. */
final readonly class NearPoint implements View
{
    use WrittenRecord;

    /** @param  list<string>  $legs */
    public function __construct(public string $near, #[Field(of: Field::TEXTS)] public array $legs) {}
}
