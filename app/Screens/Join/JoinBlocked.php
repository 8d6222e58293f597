<?php

declare(strict_types=1);

namespace App\Screens\Join;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A reason why the run cannot begin. */
final readonly class JoinBlocked implements View
{
    use WrittenRecord;

    public function __construct(public string $title, public string $detail) {}
}
