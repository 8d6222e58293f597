<?php

declare(strict_types=1);

namespace App\Screens\Parts;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A choice of an assembly. */
final readonly class MakingChoice implements View
{
    use WrittenRecord;

    public function __construct(public string $value, public string $text) {}
}
