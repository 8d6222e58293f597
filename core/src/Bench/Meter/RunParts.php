<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Meter;

use EmberDusk\Bench\Log\IslandIds;
use EmberDusk\Circuit\Island;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/**
 * The parts of an island near a run: its supplies, controller, cables, feeds and itself. If many runs share a supply, faults are searched there and
 * not in the other runs.
 */
final readonly class RunParts
{
    /** Runs of an island that is still looked at in total. */
    private const WHOLE = 3;

    /** @param  array<string, true>|null  $ids  null for all */
    private function __construct(private ?array $ids) {}

    public static function for(Plan $plan, Island $island, Run $run): self
    {
        if (count($island->parts) <= self::WHOLE) {
            return new self(null);
        }
        $ways = $plan->ways()->waysOf($run);
        $ids = [$run->id, ...array_filter($plan->ways()->unitsOf($run)), ...array_keys($ways)];
        foreach ($ways as $cable) {
            array_push($ids, $cable->from, $cable->to);
        }

        return new self(array_fill_keys($ids, true));
    }

    public function has(string $part): bool
    {
        return $this->ids === null || isset($this->ids[$part]);
    }

    /** The run of an island that a part is near to; null where it is of another island. */
    public static function run(Plan $plan, Island $island, string $part): ?Run
    {
        $whole = IslandIds::for($plan, $island);
        foreach ($island->parts as $parts) {
            $near = self::for($plan, $island, $parts->run);
            if ($whole->has($part) && $near->has($part)) {
                return $parts->run;
            }
        }

        return null;
    }
}
