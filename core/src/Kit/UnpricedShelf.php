<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

/** A shelf without its prices. */
final readonly class UnpricedShelf implements ShelfSource
{
    public function __construct(private ShelfSource $shelf) {}

    public function find(string $id): ?KitSnapshot
    {
        return $this->shelf->find($id)?->unpriced();
    }

    public function ofKind(string $kind): array
    {
        return array_map(static fn(KitSnapshot $s): KitSnapshot => $s->unpriced(), $this->shelf->ofKind($kind));
    }
}
