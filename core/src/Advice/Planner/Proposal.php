<?php

declare(strict_types=1);

namespace EmberDusk\Advice\Planner;

use EmberDusk\Plan\Plan;

/** What the planner found: the cheapest that holds every limit, why nothing cheaper does, alternatives, and how sure it is. */
final readonly class Proposal
{
    /** Cheaper ones whose fault is told. */
    public const REASONS = 3;

    /**
     * @param  Tried|null  $found  null when nothing holds, or the search was stopped
     * @param  Tried|null  $nearest  fewest limits broken
     * @param  list<Tried>  $cheaper  the cheapest of those that do not hold
     * @param  int  $bound  nothing that holds is cheaper, hundredths of the smallest coin
     * @param  array<string, Tried>  $alternatives
     */
    public function __construct(public ?Tried $found, public ?Tried $nearest, public array $cheaper, public int $bound, public int $solved, public array $alternatives)
    {
    }

    /** @return array<string, mixed> as in core/schema/responses.json, $defs/proposal */
    public function toArray(Plan $plan): array
    {
        return [
            'runs' => array_map(static fn (Choice $c): string => $plan->run($c->run)->name(), $this->nearest->choices ?? []),
            'found' => $this->found === null ? null : self::way($plan, $this->found),
            'nearest' => $this->found !== null || $this->nearest === null ? null : self::way($plan, $this->nearest),
            'broken' => $this->found !== null ? [] : $this->nearest->broken ?? ['Choose strip, supply and controller first.'],
            'cheaper' => array_map(static fn (Tried $t): array => ['label' => self::label($plan, $t), 'cost' => Planner::cost($plan, $t->cost())->toArray(), 'broken' => $t->broken], $this->cheaper),
            'alternatives' => array_map(static fn (string $name, Tried $t): array => ['name' => $name, 'way' => self::way($plan, $t)], array_keys($this->alternatives), array_values($this->alternatives)),
            'bound' => Planner::cost($plan, $this->bound)->toArray(),
            'solved' => $this->solved,
        ];
    }

    /** @return array<string, mixed> */
    private static function way(Plan $plan, Tried $tried): array
    {
        return ['label' => self::label($plan, $tried), 'cost' => Planner::cost($plan, $tried->cost())->toArray(), 'joints' => $tried->joints(), 'evenness' => sprintf('%.2f', $tried->evenness),
            'take' => ['kind' => 'Together', 'words' => 'Proposal taken: '.mb_substr(self::label($plan, $tried), 0, 150), 'changes' => array_merge(...array_map(static fn (Choice $c): array => $c->changes, $tried->choices))]];
    }

    private static function label(Plan $plan, Tried $tried): string
    {
        return implode('; ', array_map(static fn (Choice $c): string => $plan->run($c->run)->name().' '.$c->label, $tried->choices));
    }
}
