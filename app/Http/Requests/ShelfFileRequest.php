<?php

declare(strict_types=1);

namespace App\Http\Requests;

use EmberDusk\Kit\Shelf;

/** A shelf as a file, JSON or CSV. */
final class ShelfFileRequest extends TextFileRequest
{
    protected function largest(): int
    {
        return Shelf::LARGEST;
    }

    protected function wants(): string
    {
        return 'a shelf file, JSON or CSV';
    }
}
