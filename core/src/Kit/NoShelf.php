<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

/** For changes that take nothing from a shelf. */
final readonly class NoShelf implements ShelfSource
{
    public function find(string $id): ?KitSnapshot
    {
        return null;
    }

    public function ofKind(string $kind): array
    {
        return [];
    }
}
