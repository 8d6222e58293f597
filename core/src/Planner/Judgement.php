<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

/** Result of holding a plan against the job's limits: those that it breaks, and how even its least even run is. */
final readonly class Judgement
{
    /**
     * @param  list<BrokenLimit>  $broken
     * @param  string  $darkest  the run that is least even
     */
    public function __construct(public array $broken, public float $evenness, public string $darkest) {}

    public function holds(): bool
    {
        return $this->broken === [];
    }

    /** @return list<string> */
    public function words(): array
    {
        return array_values(array_unique(array_map(static fn(BrokenLimit $b): string => $b->words, $this->broken)));
    }

    /**
     * By what nearest is meant: fewest limits broken, then least excess.
     *
     * @return array{int, float}
     */
    public function far(): array
    {
        return [
            count(array_unique(array_map(static fn(BrokenLimit $b): string => $b->limit->value, $this->broken))),
            array_sum(array_map(static fn(BrokenLimit $b): float => $b->excess, $this->broken)),
        ];
    }
}
