<?php

declare(strict_types=1);

namespace App\Screens\Parts;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A piece that no bought length holds. */
final readonly class TooLong implements View
{
    use WrittenRecord;

    public function __construct(public string $run, public string $what, public string $said) {}
}
