<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Checks\PlannerLimit;

/** A layout that was put into the plan and held against the limits. */
final readonly class LayoutTrial
{
    public function __construct(
        public Layout $layout,
        public Judgement $judged,
        public int $cost,
        public int $joints,
        public int $boxes,
        public string $key,
    ) {}

    public function rank(Aim $aim): int
    {
        return $aim->rank($this->cost, $this->joints, $this->boxes);
    }

    /** Fewer limits broken, then less excess, then cheaper. */
    public function nearerThan(?self $other): bool
    {
        $far = static fn(self $of): array => [...$of->judged->far(PlannerLimit::cases()), $of->cost];

        return $other === null || $far($this) < $far($other);
    }
}
