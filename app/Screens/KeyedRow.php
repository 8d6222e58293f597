<?php

declare(strict_types=1);

namespace App\Screens;

/** A row of a picture that the page may have already. */
interface KeyedRow extends View
{
    public function key(): string;

    public function hash(): string;
}
