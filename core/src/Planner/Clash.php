<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Checks\PlannerLimit;
use EmberDusk\Plan\Run;

/** Runs for which no layout holds: the smallest set of limits of which every layout breaks one. */
final readonly class Clash
{
    /**
     * @param  non-empty-list<Run>  $runs
     * @param  list<PlannerLimit>  $limits
     * @param  LayoutTrial|null  $nearest  layout; null where the shelf gives none
     * @param  bool  $all  whether every layout was tried
     * @param  list<Repair>  $ways  changes after which one holds
     */
    public function __construct(
        public array $runs,
        public array $limits,
        public ?LayoutTrial $nearest,
        public bool $all,
        public array $ways = [],
    ) {}

    /** @param  list<Repair>  $ways */
    public function with(array $ways): self
    {
        return new self($this->runs, $this->limits, $this->nearest, $this->all, $ways);
    }

    public function row(): ClashingRuns
    {
        return new ClashingRuns(
            run: implode(' and ', array_map(static fn(Run $r): string => $r->name(), $this->runs)),
            limits: array_map(static fn(PlannerLimit $l): string => $l->words(), $this->limits),
            broken: $this->nearest?->judged->words() ?? [
                'The shelf has no supply, controller or cable with a price that suits it.',
            ],
            all: $this->all,
            ways: $this->ways,
        );
    }

    /**
     * @param  list<list<PlannerLimit>>  $broken  the limits that each layout breaks
     * @return list<PlannerLimit> the fewest that meet every one of those, the first in the order of the limits
     */
    public static function fewest(array $broken): array
    {
        if ($broken === []) {
            return [];
        }
        $best = PlannerLimit::cases();
        for ($set = 1, $all = 2 ** count(PlannerLimit::cases()); $set < $all; $set++) {
            $limits = array_values(
                array_filter(
                    PlannerLimit::cases(),
                    static fn(int $n): bool => (($set >> $n) & 1) === 1,
                    ARRAY_FILTER_USE_KEY,
                ),
            );
            $meets = static fn(PlannerLimit $l): bool => in_array($l, $limits, true);
            if (
                count($limits) < count($best) &&
                array_filter($broken, static fn(array $b): bool => array_filter($b, $meets) === []) === []
            ) {
                $best = $limits;
            }
        }

        return $best;
    }
}
