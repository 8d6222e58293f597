<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes;

use EmberDusk\Plan\Frozen;

/** Where a change finds the shelf entry that it takes a frozen copy of. */
interface ShelfSource
{
    /** The entry as it stands on the shelf now; null when the shelf has none of that id. */
    public function find(string $id): ?Frozen;
}
