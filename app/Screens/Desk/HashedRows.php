<?php

declare(strict_types=1);

namespace App\Screens\Desk;

use App\Screens\View;

/** A picture whose rows the page may have already: they are left out, the order of all rows is sent. */
interface HashedRows extends View
{
    /** @param  array<string, string>  $known  hashes by id of the row */
    public function without(array $known): self;
}
