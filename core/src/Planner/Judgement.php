<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Checks\PlannerLimit;

/** Result of checking a plan against the job's limits: the broken limits, and the evenness of the least even run. */
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

    /** @return list<PlannerLimit> that are broken, each once, in their order */
    public function limits(): array
    {
        $broken = array_map(static fn(BrokenLimit $b): PlannerLimit => $b->limit, $this->broken);

        return array_values(
            array_filter(PlannerLimit::cases(), static fn(PlannerLimit $l): bool => in_array($l, $broken, true)),
        );
    }

    /**
     * By what nearest is meant: fewest limits broken, then least excess.
     *
     * @param  list<PlannerLimit>  $of  that count
     * @return array{int, float}
     */
    public function far(array $of): array
    {
        $broken = array_filter($this->broken, static fn(BrokenLimit $b): bool => in_array($b->limit, $of, true));

        return [
            count(array_unique(array_map(static fn(BrokenLimit $b): string => $b->limit->value, $broken))),
            array_sum(array_map(static fn(BrokenLimit $b): float => $b->excess, $broken)),
        ];
    }
}
