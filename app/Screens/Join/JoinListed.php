<?php

declare(strict_types=1);

namespace App\Screens\Join;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A device as an app lists it. */
final readonly class JoinListed implements View
{
    use WrittenRecord;

    public function __construct(public string $name, public string $as) {}
}
