<?php

declare(strict_types=1);

namespace App\Screens\Join;

use App\Screens\View;
use EmberDusk\Formats\Record\WrittenRecord;

/** A possible cause of a miss and its share. */
final readonly class JoinCause implements View
{
    use WrittenRecord;

    public function __construct(public string $says, public float $share) {}
}
