<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\ShelfSource;

/** A shelf with one ideal supply added: a hub of constant volts. */
final readonly class ShelfWithIdeal implements ShelfSource
{
    public function __construct(private ShelfSource $shelf, private KitSnapshot $hub) {}

    public function find(string $id): ?KitSnapshot
    {
        if ($id === $this->hub->entry->id()) {
            return $this->hub;
        }

        return $this->shelf->find($id);
    }

    public function ofKind(string $kind): array
    {
        return $this->shelf->ofKind($kind);
    }
}
