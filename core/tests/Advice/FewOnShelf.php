<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Advice;

use EmberDusk\Plan\Changes\ShelfSource;
use EmberDusk\Plan\Frozen;
use EmberDusk\Tests\Demo;

/** The demo shelf with few entries, so that every layout can be tried. */
final readonly class FewOnShelf implements ShelfSource
{
    /** @param  list<string>  $only  ids of the cables, controllers, supplies and fuses that are there */
    public function __construct(private array $only) {}

    public function find(string $id): ?Frozen
    {
        return Demo::shelf()->find($id);
    }

    public function ofKind(string $kind): array
    {
        return array_values(
            array_filter(
                Demo::shelf()->ofKind($kind),
                fn(Frozen $f): bool => in_array($f->entry->id(), $this->only, true),
            ),
        );
    }
}
