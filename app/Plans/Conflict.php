<?php

declare(strict_types=1);

namespace App\Plans;

use RuntimeException;

/** Somebody else changed the same thing meanwhile; both changes in words. */
final class Conflict extends RuntimeException
{
    public function __construct(public readonly string $yours, public readonly string $theirs, public readonly int $newest)
    {
        parent::__construct("Not kept: {$yours}. Meanwhile: {$theirs}. Look at the newest state, then do it again if it still fits.");
    }
}
