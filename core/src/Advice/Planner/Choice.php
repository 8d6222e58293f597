<?php

declare(strict_types=1);

namespace EmberDusk\Advice\Planner;

/** One way to feed one run: a pattern, a cable for its tails, one for its trunk, and what it costs in hundredths of the smallest coin. */
final readonly class Choice
{
    /**
     * @param  string|null  $trunk  shelf id; null where there is no trunk
     * @param  int  $cost  hundredths of the smallest coin
     * @param  list<array<string, mixed>>  $changes  that make it so
     */
    public function __construct(
        public string $run,
        public string $pattern,
        public string $tail,
        public ?string $trunk,
        public int $cost,
        public int $joints,
        public string $label,
        public array $changes,
    ) {
    }

    /** What ties go by. */
    public function key(): string
    {
        return "{$this->run}/{$this->pattern}/{$this->tail}/{$this->trunk}";
    }
}
