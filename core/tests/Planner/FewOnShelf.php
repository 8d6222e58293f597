<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Planner;

use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Tests\Demo;

/** The demo shelf with few entries, so that every layout can be tried. */
final readonly class FewOnShelf implements ShelfSource
{
    /** @param  list<string>  $only  ids of the cables, controllers, supplies and fuses that are there */
    public function __construct(private array $only) {}

    public function find(string $id): ?KitSnapshot
    {
        return Demo::shelf()->find($id);
    }

    public function ofKind(string $kind): array
    {
        return array_values(
            array_filter(
                Demo::shelf()->ofKind($kind),
                fn(KitSnapshot $f): bool => in_array($f->entry->id(), $this->only, true),
            ),
        );
    }
}
