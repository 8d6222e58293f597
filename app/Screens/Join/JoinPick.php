<?php

declare(strict_types=1);

namespace App\Screens\Join;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A possible answer to a step. */
final readonly class JoinPick implements View
{
    use WrittenRecord;

    public function __construct(public string $seen, public string $words) {}
}
