<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

/** A part of the controllers' common period during which the same channels conduct. */
final readonly class Phase
{
    /**
     * @param  int  $number  from 1
     * @param  float  $share  of the period
     * @param  array<string, list<bool>>|null  $on  by controller, a channel each; null when every channel conducts
     * @param  array<string, list<float>>  $levels mean duty of pixel runs by group, one for all groups alike; missing ones are full
     */
    public function __construct(
        public int $number = 1,
        public float $share = 1.0,
        private ?array $on = null,
        private array $levels = [],
    ) {}

    /**
     * @param  int  $channels  of the strip
     * @return list<int> numbers from 1 of the channels that conduct
     */
    public function channels(?string $controller, int $channels): array
    {
        return array_values(
            array_filter(
                range(1, $channels),
                fn(int $n): bool => $this->on === null || ($this->on[$controller ?? ''][$n - 1] ?? false),
            ),
        );
    }

    /** Whether groups of a run differ; a limit of its board is then in their levels already. */
    public function graded(string $run): bool
    {
        return count($this->levels[$run] ?? []) > 1;
    }

    /** Whether a group of pixels takes another current than the group before it. */
    public function changesAt(string $run, int $group): bool
    {
        return $group > 0 && $this->level($run, $group) !== $this->level($run, $group - 1);
    }

    /** How much of their full current the pixels of a group take. */
    public function level(string $run, int $group): float
    {
        $levels = $this->levels[$run] ?? [];

        return $levels[$group] ?? ($levels[0] ?? ($this->on === null ? 1.0 : 0.0));
    }
}
