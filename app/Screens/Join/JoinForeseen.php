<?php

declare(strict_types=1);

namespace App\Screens\Join;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** Steps foreseen for use without a signal. */
final readonly class JoinForeseen implements View
{
    use WrittenRecord;

    public function __construct(public ?JoinAhead $ahead) {}
}
