<?php

declare(strict_types=1);

namespace App\Screens\Join;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A gesture on a lane of the timeline. */
final readonly class JoinMark implements View
{
    use WrittenRecord;

    public function __construct(public float $at, public string $text) {}
}
