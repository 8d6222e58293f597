<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Log;

use EmberDusk\Circuit\Island;
use EmberDusk\Plan\Plan;

/** Ids of everything in an island: its supplies, controllers, cables, feeds and runs. */
final readonly class IslandIds
{
    /** @param  array<string, true>  $ids */
    private function __construct(private array $ids) {}

    public static function for(Plan $plan, Island $island): self
    {
        $ids = [...$island->supplies, ...$island->controllers, ...array_keys($island->parts)];
        foreach ($island->cables($plan) as $cable) {
            array_push($ids, $cable->id, $cable->to);
        }

        return new self(array_fill_keys($ids, true));
    }

    public function has(string $id): bool
    {
        return isset($this->ids[$id]);
    }

    /** The part of the plan that a spot is at. */
    public static function part(string $spot): string
    {
        return preg_split('/[@:]/', $spot)[0] ?? $spot;
    }
}
