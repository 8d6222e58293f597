<?php

declare(strict_types=1);

namespace EmberDusk\Costing;

use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Plan\Plan;

/** What entries cost on the shelf, a piece or a metre; what the client owns already costs nothing, as far as it goes. */
final readonly class Prices
{
    public function __construct(private Plan $plan) {}

    /** Of so many pieces or metres. */
    public function for(KitSnapshot $kit, float $count): ?float
    {
        $each = $this->plan->terms->price($kit);
        $left = max(0.0, $count - ($this->plan->owned[$kit->entry->id()]->count ?? 0));
        if ($left <= 0) {
            return 0.0;
        }
        if ($each === null) {
            return null;
        }

        return round($each * $left, 2);
    }

    public function owns(string $id): bool
    {
        return isset($this->plan->owned[$id]);
    }
}
