<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Kit\Cable;
use EmberDusk\Kit\Fuse;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Plan;

/** Shelf entries with a price, cheapest first. Entries without a price are not proposed. */
final class PricedShelf
{
    /** @var array<int, list<KitSnapshot>> by cores */
    private array $cables = [];

    /** @var array<string, list<KitSnapshot>> everything with a price, by kind */
    private array $kinds = [];

    /** @var array<string, KitSnapshot|null> by amps of capacity and volts */
    private array $fuses = [];

    /** @param  Wish|null  $wish  what alone is used of its kind */
    public function __construct(
        private readonly Plan $plan,
        private readonly ShelfSource $shelf,
        private readonly ?Wish $wish = null,
    ) {}

    /**
     * The largest fuse that protects so many amps, the least dear of its size; null when the shelf has none.
     *
     * @param  float  $volts  that it breaks
     */
    public function fuse(float $capacity, float $volts = 0.0): ?KitSnapshot
    {
        $key = "{$capacity}/{$volts}";
        if (array_key_exists($key, $this->fuses)) {
            return $this->fuses[$key];
        }
        $best = null;
        foreach (
            $this->ofKind(
                'fuse',
                static fn(object $f): bool => $f instanceof Fuse && $f->amps <= $capacity + 1e-9 && $f->volts >= $volts,
            )
            as $fuse
        ) {
            if ($best === null || self::amps($fuse) > self::amps($best)) {
                $best = $fuse;
            }
        }

        return $this->fuses[$key] = $best;
    }

    /**
     * Of each size the least dear cable with cores enough.
     *
     * @return list<KitSnapshot>
     */
    public function cables(int $cores): array
    {
        if (isset($this->cables[$cores])) {
            return $this->cables[$cores];
        }
        $best = [];
        foreach (
            $this->ofKind(
                'cable',
                fn(object $c): bool => $c instanceof Cable &&
                    $c->cores >= $cores &&
                    $c->conductor->system === $this->plan->terms->wire &&
                    $c->conductor->capacity !== null,
            )
            as $snapshot
        ) {
            $best[$snapshot->entry instanceof Cable ? $snapshot->entry->conductor->label() : ''] ??= $snapshot;
        }

        return $this->cables[$cores] = array_values($best);
    }

    /**
     * @param  callable(object): bool  $fits
     * @return list<KitSnapshot> by price, then by id
     */
    public function ofKind(string $kind, callable $fits): array
    {
        if (!isset($this->kinds[$kind])) {
            $priced = array_values(
                array_filter(
                    $this->shelf->ofKind($kind),
                    fn(KitSnapshot $f): bool => $this->plan->terms->price($f) !== null &&
                        ($this->wish?->allows($kind, $f) ?? true),
                ),
            );
            usort(
                $priced,
                fn(KitSnapshot $a, KitSnapshot $b): int => [$this->plan->terms->price($a), $a->entry->id()] <=> [
                    $this->plan->terms->price($b),
                    $b->entry->id(),
                ],
            );
            $this->kinds[$kind] = $priced;
        }

        return array_values(array_filter($this->kinds[$kind], static fn(KitSnapshot $f): bool => $fits($f->entry)));
    }

    private static function amps(KitSnapshot $fuse): float
    {
        if ($fuse->entry instanceof Fuse) {
            return $fuse->entry->amps;
        }

        return 0.0;
    }
}
