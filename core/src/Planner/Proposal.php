<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Costing\Basis;
use EmberDusk\Costing\Costing;
use EmberDusk\Costing\Moving;
use EmberDusk\Costing\MovingFigures;
use EmberDusk\Costing\Promise;
use EmberDusk\Plan\Changes\Catalogue;
use EmberDusk\Plan\Changes\Wires\SupplyWires;
use EmberDusk\Plan\Changes\Wires\WireRuns;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\ChangePayload;
use EmberDusk\Values\JsonWritable;
use LogicException;

/** Result of the planner: the cheapest valid layout, why cheaper ones fail, alternatives, and the proven gap. */
final readonly class Proposal implements JsonWritable
{
    /** Number of cheaper failing layouts that are reported. */
    private const REASONS = 4;

    /** @var list<LayoutTrial> one for each supply */
    public array $parts;

    public int $bound;

    public bool $exact;

    /**
     * @param  list<Group>  $groups
     * @param  list<Clash>  $clashes
     * @param  array<string, string>  $left  why a run was not planned
     * @param  array<string, list<LayoutTrial>>  $alternatives
     * @param  list<WishChoice>  $wishes  that can be asked for instead
     */
    public function __construct(
        private Plan $plan,
        private Basis $basis,
        private PlanJudge $judge,
        private array $groups,
        public array $clashes,
        public array $left,
        public int $solved,
        public bool $stopped,
        public array $alternatives,
        private array $wishes = [],
    ) {
        $this->parts = array_merge(...array_map(static fn(Group $g): array => $g->parts, $groups));
        $this->bound = array_sum(array_map(static fn(Group $g): int => $g->bound, $groups));
        $this->exact = !$stopped && array_filter($groups, static fn(Group $g): bool => !$g->exact) === [];
    }

    /** Whether every run has a layout that holds. */
    public function whole(): bool
    {
        return !$this->stopped && $this->clashes === [] && $this->groups !== [] && $this->complete();
    }

    private function complete(): bool
    {
        return array_filter($this->groups, static fn(Group $g): bool => !$g->complete()) === [];
    }

    public function cost(): int
    {
        return array_sum(array_map(static fn(LayoutTrial $t): int => $t->cost, $this->parts));
    }

    /**
     * The change that makes it so.
     *
     * @param  list<LayoutTrial>  $parts
     */
    public function change(array $parts): ?ChangePayload
    {
        if ($parts === []) {
            return null;
        }

        return WireRuns::payload(
            words: 'Proposal taken: ' . mb_substr($this->label($parts), 0, 150),
            supplies: array_map(fn(LayoutTrial $t): SupplyWires => $t->layout->wires($this->tables($t)), $parts),
        );
    }

    /**
     * Applies it to the plan.
     *
     * @param  list<LayoutTrial>  $parts
     */
    public function built(array $parts): Plan
    {
        $change = $this->change($parts);
        if ($change === null) {
            return $this->plan;
        }

        return Catalogue::make($change, $this->basis->shelf)->apply($this->plan);
    }

    /** @return list<string> ids of the runs that it wires, halves and all */
    public static function wired(Plan $made, Plan $plan, string ...$runs): array
    {
        $words = array_fill_keys(
            array_map(static fn(string $r): string => "{$plan->run($r)->place} {$plan->run($r)->word}", $runs),
            true,
        );

        return array_keys(
            array_filter(
                $made->runs,
                static fn($r): bool => in_array($r->id, $runs, true) ||
                    (!isset($plan->runs[$r->id]) && isset($words["{$r->place} {$r->word}"])),
            ),
        );
    }

    /** @return array<string, mixed> as {@see ProposalAnswer} */
    public function write(): array
    {
        return $this->answer()->write();
    }

    public function answer(): ProposalAnswer
    {
        $promise = new Promise($this->plan, $this->basis);
        $after = $this->parts === [] ? null : $this->after();
        $nearest = array_values(
            array_filter(array_map(static fn(Clash $c): ?LayoutTrial => $c->nearest, $this->clashes)),
        );
        // Boards, banks and units that stay cost the same in every layout.
        $found = $this->moving($this->parts)->cost();
        // Of all runs: a proposal for some of them has no gap.
        $open = $this->complete() && !$this->exact && $found !== 0;
        $gap = $open ? sprintf('%.1f %%', (100 * ($this->cost() - $this->bound)) / $found) : '';

        return new ProposalAnswer(
            found: $this->parts !== [] ? $this->way($this->parts, $promise) : null,
            whole: $this->whole(),
            clashes: array_map(static fn(Clash $c): ClashingRuns => $c->row(), $this->clashes),
            nearest: $nearest === [] ? null : $this->way([...$this->parts, ...$nearest], $promise),
            left: array_map(
                fn(string $run, string $why): LeftRun => new LeftRun($this->plan->run($run)->name(), $why),
                array_keys($this->left),
                array_values($this->left),
            ),
            cheaper: array_map(
                fn(LayoutTrial $t): CheaperWay => new CheaperWay(
                    label: $this->label([$t]),
                    cost: MovingFigures::for($this->plan, $t->cost),
                    broken: $t->judged->words(),
                ),
                $this->cheaper(),
            ),
            alternatives: $this->others($promise),
            bound: MovingFigures::for($this->plan, $this->bound + $found - $this->cost()),
            gap: $gap,
            solved: $this->solved,
            stopped: $this->stopped,
            drawn: CurrentLayout::for($this->plan, $this, $this->basis, $this->judge),
            wishes: $this->wishes,
            stays: $after->own ?? [],
            added: $after->added ?? [],
        );
    }

    private function after(): PointsAfter
    {
        $made = $this->built($this->parts);

        return new PointsAfter($this->plan, $made, $this->wires($made, $this->parts));
    }

    /** @return list<LayoutTrial> */
    private function cheaper(): array
    {
        $all = array_merge(...array_map(static fn(Group $g): array => $g->cheaper(), $this->groups));
        usort($all, static fn(LayoutTrial $a, LayoutTrial $b): int => [$b->cost, $a->key] <=> [$a->cost, $b->key]);

        return array_slice($all, 0, self::REASONS);
    }

    /** @return list<AlternativeWay> */
    private function others(Promise $promise): array
    {
        $others = [];
        $found = (new ProposedRuns($this->plan))->of($this->parts);
        foreach ($this->alternatives as $name => $parts) {
            if ($parts !== []) {
                $others[] = new AlternativeWay(
                    name: $name,
                    same: array_map(static fn(LayoutTrial $t): string => $t->key, $parts) ===
                        array_map(static fn(LayoutTrial $t): string => $t->key, $this->parts),
                    way: $this->way($parts, $promise, $found),
                );
            }
        }

        return $others;
    }

    /** @param  list<LayoutTrial>  $parts */
    private function moving(array $parts): Moving
    {
        $made = $this->built($parts);

        return Costing::moving($made, $this->basis, $this->wires($made, $parts));
    }

    /**
     * @param  list<LayoutTrial>  $parts
     * @return list<string> ids of the runs that they wire, halves and all
     */
    private function wires(Plan $made, array $parts): array
    {
        $runs = array_merge(...array_map(static fn(LayoutTrial $t): array => $t->layout->runs(), $parts));

        return self::wired($made, $this->plan, ...$runs);
    }

    /**
     * @param  list<LayoutTrial>  $parts
     * @param  list<ProposedRun>  $known  that need no picture again
     */
    private function way(array $parts, Promise $promise, array $known = []): ProposedWay
    {
        $made = $this->built($parts);
        $moving = $this->moving($parts);
        $change = $promise->change($made);

        return new ProposedWay(
            parts: array_map(fn(LayoutTrial $t): string => $t->layout->words($this->plan), $parts),
            cost: MovingFigures::cost($made, $moving),
            quote: $change->figure(),
            joints: $moving->joints(),
            boxes: $moving->boxes(),
            evenness: sprintf(
                '%.2f',
                min(array_map(static fn(LayoutTrial $t): float => $t->judged->evenness, $parts) ?: [0.0]),
            ),
            bill: $change->rows(),
            take: $this->change($parts) ?? throw new LogicException('A layout without parts.'),
            runs: array_values(
                array_filter(
                    (new ProposedRuns($this->plan))->of($parts),
                    static fn(ProposedRun $r): bool => !in_array($r, $known),
                ),
            ),
        );
    }

    /** @param  list<LayoutTrial>  $parts */
    private function label(array $parts): string
    {
        return implode('; ', array_map(fn(LayoutTrial $t): string => $t->layout->words($this->plan), $parts));
    }

    private function tables(LayoutTrial $tried): Tables
    {
        foreach ($this->groups as $group) {
            if (
                array_intersect($tried->layout->runs(), array_map(static fn($r): string => $r->id, $group->runs)) !== []
            ) {
                return $group->search->tables;
            }
        }
        throw new LogicException('A layout belongs to a group.');
    }
}
