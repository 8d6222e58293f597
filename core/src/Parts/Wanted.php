<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

use EmberDusk\Formats\Fields;
use EmberDusk\Plan\Frozen;
use EmberDusk\Plan\Plan;

/** Collects what a plan asks for, thing by thing, with the reasons. */
final class Wanted
{
    /** One in ten is taken along on top, at least one (common practice, no source). */
    private const SPARE = 0.1;

    /** @var array<string, array{string, Frozen, float, string, bool, list<string>, float, float}> by shelf id: group, kit, count, unit, spares, why, how much one of it is, of how many units the price of one that is bought is made */
    private array $things = [];

    public function __construct(private readonly Plan $plan)
    {
    }

    /**
     * @param  bool  $spares  whether some are taken along on top
     * @param  float  $priced  units that one that is bought has, where the shelf's price is for a unit: metres of a reel
     * @param  float  $each  how much of the unit one that is bought holds: 5 m a reel, 200 joints a reel of solder
     */
    public function add(?Frozen $kit, string $group, float $count, string $unit, string $why, bool $spares = false, float $each = 1.0, float $priced = 1.0): void
    {
        if ($kit === null || $count <= 0) {
            return;
        }
        $id = $kit->entry->id();
        $this->things[$id] ??= [$group, $kit, 0.0, $unit, $spares, [], $each, $priced];
        $this->things[$id][2] += $count;
        $this->things[$id][5][] = $why;
    }

    /**
     * @param  array<string, int>  $bought  lengths that a cut list came to, by shelf id
     * @return list<Part>
     */
    public function parts(array $bought): array
    {
        $parts = [];
        foreach ($this->things as $id => [$group, $kit, $count, $unit, $spares, $why, $each, $priced]) {
            $price = (new Fields($kit->written))->numberOrNull('price');
            $spare = $spares ? max(1, (int) ceil(self::SPARE * $count - 1e-9)) : 0;
            $parts[] = new Part($id, $group, $kit->entry->name(), $count, $unit, $spare, (float) ($bought[$id] ?? ceil(($count + $spare) / $each - 1e-9)), array_values(array_unique($why)),
                $price === null ? null : $price * $priced, (float) ($this->plan->owned[$id]->count ?? 0));
        }

        return $parts;
    }
}
