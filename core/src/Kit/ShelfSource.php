<?php

declare(strict_types=1);

namespace EmberDusk\Kit;

/** A crew's shelf as the core sees it: where a change finds the entry that it takes a frozen copy of, and what there is to choose from. */
interface ShelfSource
{
    /** The current shelf entry; null if the shelf has none of that id. */
    public function find(string $id): ?KitSnapshot;

    /** @return list<KitSnapshot> entries of a kind, in the order of the shelf */
    public function ofKind(string $kind): array;
}
