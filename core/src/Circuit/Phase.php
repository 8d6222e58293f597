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
     * @param  array<string, float>  $levels mean duty of pixel runs; missing ones are full
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

    /** How much of their full current pixels take. */
    public function level(string $run): float
    {
        return $this->levels[$run] ?? ($this->on === null ? 1.0 : 0.0);
    }
}
