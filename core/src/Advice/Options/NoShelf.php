<?php

declare(strict_types=1);

namespace EmberDusk\Advice\Options;

use EmberDusk\Plan\Changes\ShelfSource;
use EmberDusk\Plan\Frozen;

/** For changes that take nothing from a shelf. */
final readonly class NoShelf implements ShelfSource
{
    public function find(string $id): ?Frozen
    {
        return null;
    }

    public function ofKind(string $kind): array
    {
        return [];
    }
}
