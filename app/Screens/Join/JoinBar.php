<?php

declare(strict_types=1);

namespace App\Screens\Join;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A period on a lane of the timeline. */
final readonly class JoinBar implements View
{
    use WrittenRecord;

    public function __construct(public float $from, public float $to, public string $kind, public string $text) {}
}
