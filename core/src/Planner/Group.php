<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Plan\Run;

/**
 * Runs that could share supplies: which do. A few runs are parted in every way, which is exact; many begin each on its own
 * and are joined two by two as long as that saves, with a bound on what could be saved at most.
 */
final class Group
{
    /** Most runs that are parted in every way, and most ways to feed them all. */
    private const RUNS = 4;

    private const WAYS = 20_000;

    /** Layouts that are solved for each run alone, where there are many. */
    private const ALONE = 150;

    /** Most times that the runs are parted. */
    private const ROUNDS = 12;

    private ?SetTrials $trials = null;

    /** @var array<string, SearchResult> by the runs' ids */
    private array $found = [];

    /** @var list<LayoutTrial> the best so far, complete or not */
    public array $parts = [];

    public int $bound = 0;

    public bool $exact = true;

    private ?bool $few = null;

    /**
     * @param  non-empty-list<Run>  $runs
     * @param  bool  $whole  whether the result is of no use once some run has no layout of its own
     */
    public function __construct(
        public readonly Search $search,
        public readonly array $runs,
        private readonly Aim $aim,
        private readonly int $most = Search::MOST,
        private readonly bool $whole = false,
    ) {}

    /** @throws SearchStopped with the partial result */
    public function solve(): void
    {
        if (in_array('kit', $this->runs[0]->pins, true)) {
            $found = $this->best($this->runs);
            $this->parts = $found->best === null ? [] : [$found->best];
            [$this->bound, $this->exact] = [$found->bound, $found->exact];

            return;
        }
        if (!$this->whole && !$this->few() && $this->aim === Aim::Cost && count($this->runs) <= SharedFloor::MOST) {
            $this->sets();
            if ($this->complete()) {
                return;
            }
            [$this->parts, $bound] = [[], $this->bound];
        }
        foreach ($this->units() as $unit) {
            $found = $this->best($unit, $this->whole || $this->few() ? $this->most : self::ALONE);
            $this->exact = $this->exact && $found->exact;
            if ($found->best === null && $this->whole) {
                return;
            }
            $this->parts = $found->best === null ? $this->parts : [...$this->parts, $found->best];
        }
        // Joined two by two first: parting them in every way then has little left to look at.
        if ($this->complete()) {
            $this->joining();
        }
        if ($this->few()) {
            $this->everyWay();
        } else {
            [$this->exact, $this->bound] = [false, max($bound ?? 0, $this->loosest())];
        }
    }

    /**
     * Divides the runs into sets, each on its own supply. The division with the lowest sum is solved, its sets then count with their true cost, and so
     * on until no division has a lower sum than a layout that meets the limits. The lowest sum of the sets' lower bounds is the bound.
     *
     * @throws SearchStopped
     */
    private function sets(): void
    {
        [$least, $sets] = $this->trials()->refined(0)->least([]) ?? [0, []];
        $this->bound = $least;
        $found = $costs = [];
        // Each run alone as well: a complete result even if no set holds.
        $sets = [...$sets, ...array_map(static fn(int $n): int => 1 << $n, array_keys($this->runs))];
        for ($round = 0; $round < self::ROUNDS; $round++) {
            foreach (array_diff($sets, array_keys($costs)) as $set) {
                $tried = $this->trials()->onOneSupply($set);
                $costs[$set] = $tried?->cost;
                $found += $tried === null ? [] : [$set => $tried];
            }
            $best = $this->trials()->refined(0)->least(array_filter($costs, is_int(...)), true);
            if ($best !== null) {
                $this->parts = $this->inOrder(array_map(static fn(int $set): LayoutTrial => $found[$set], $best[1]));
            }
            [$sum, $sets] = $this->trials()->refined(SetTrials::LIKELY)->least($costs) ?? [PHP_INT_MAX, []];
            if ($best !== null && $best[0] <= $sum) {
                break;
            }
        }
        $this->exact = $this->complete() && $this->bound === $this->rank();
    }

    /**
     * Something that holds for every run that has nothing yet, without looking for the cheapest: thick cable, the plain
     * patterns in turn.
     *
     * @throws SearchStopped
     */
    public function quick(): void
    {
        if ($this->parts === []) {
            $done = [];
        } else {
            $done = array_merge(...array_map(static fn(LayoutTrial $t): array => $t->layout->runs(), $this->parts));
        }
        foreach (array_merge(...array_filter($this->units(), static fn(array $u): bool => count($u) === 1)) as $run) {
            if (!in_array($run->id, $done, true) && !in_array('kit', $run->pins, true)) {
                foreach ((new SimpleLayouts($this->search->tables))->for($run) as $layout) {
                    $tried = $this->search->try($layout, [$run]);
                    if ($tried->judged->holds()) {
                        $this->parts[] = $tried;
                        break;
                    }
                }
            }
        }
        [$this->exact, $this->bound] = [false, $this->loosest()];
    }

    public function complete(): bool
    {
        return $this->parts !== [] &&
            count(array_merge(...array_map(static fn(LayoutTrial $t): array => $t->layout->runs(), $this->parts))) ===
                count($this->runs);
    }

    /**
     * The sets of runs for which nothing holds, with the limits that clash: each unit, or all where their kit is pinned. A layout that is found to
     * hold after all becomes part of the result.
     *
     * @param  int  $most  layouts that are solved for each
     * @return iterable<int, Clash>
     *
     * @throws SearchStopped with the partial result
     */
    public function clashes(int $most): iterable
    {
        $sets = in_array('kit', $this->runs[0]->pins, true) ? [$this->runs] : $this->units();
        foreach ($sets as $set) {
            $found = $this->found[self::name($set)] ?? null;
            if ($found?->best !== null) {
                continue;
            }
            $clash = ClashSearch::for($this->search, $set, $most, $found?->exact === true);
            if ($clash->nearest?->judged->holds() === true) {
                [$this->parts, $this->exact] = [[...$this->parts, $clash->nearest], false];
            } else {
                yield $clash;
            }
        }
    }

    public function rank(): int
    {
        return array_sum(array_map(fn(LayoutTrial $t): int => $t->rank($this->aim), $this->parts));
    }

    /** @return list<LayoutTrial> cheaper layouts that do not hold */
    public function cheaper(): array
    {
        return array_merge(...array_map(static fn(SearchResult $f): array => $f->cheaper, array_values($this->found)));
    }

    /**
     * Search result for one set of runs.
     *
     * @param  non-empty-list<Run>  $runs
     */
    public function best(array $runs, int $most = Search::MOST, int $limit = PHP_INT_MAX): SearchResult
    {
        return $this->found[self::name($runs)] ??= $this->search->best(
            runs: $runs,
            aim: $this->aim,
            limit: $limit,
            most: $most,
            rough: !$this->few(),
        );
    }

    /** Whether every way can be looked at. */
    public function few(): bool
    {
        return $this->few ??=
            count($this->runs) <= self::RUNS &&
            array_product(
                array_map(
                    fn(Run $r): int => max(
                        1,
                        count(
                            $this->search->tables->feeds(
                                $r,
                                $this->search->tables->places([$r], false)[0] ?? '',
                                $this->aim,
                            ),
                        ),
                    ),
                    $this->runs,
                ),
            ) <= self::WAYS;
    }

    private function everyWay(): void
    {
        $best = $this->complete() ? $this->inOrder($this->parts) : null;
        // More load on its supply hardly ever helps a run that fails alone.
        $most = $best === null ? min($this->most, Search::BRIEF) : $this->most;
        foreach (Partitions::for($this->runs) as $sets) {
            if (count($sets) < count($this->units()) && Sharing::whole($this->search->tables->plan, $sets)) {
                $best = $this->lesser($best, $sets, $most);
            }
        }
        $this->parts = $best ?? $this->parts;
        $this->bound = $this->exact && $best !== null ? $this->rank() : $this->shared();
    }

    /**
     * @param  list<LayoutTrial>|null  $best
     * @param  list<non-empty-list<Run>>  $sets
     * @param  int  $most  layouts that are solved for each set
     * @return list<LayoutTrial>|null
     */
    private function lesser(?array $best, array $sets, int $most): ?array
    {
        $rank =
            $best !== null ? array_sum(array_map(fn(LayoutTrial $t): int => $t->rank($this->aim), $best)) : PHP_INT_MAX;
        $floor = 0;
        $least = [];
        foreach ($sets as $set) {
            $known = $this->found[self::name($set)] ?? null;
            if ($known === null) {
                $of = Candidates::floor($this->search->tables, $set, $this->aim);
            } else {
                $of = $known->best?->rank($this->aim);
            }
            if ($of === null || ($floor += $of) > $rank) {
                return $best;
            }
            $least[] = $of;
        }
        $parts = [];
        foreach ($sets as $n => $set) {
            // The best so far minus the lower bounds of the others: the budget of this one.
            $found = $this->best(
                $set,
                $most,
                min($this->apart($set), $rank === PHP_INT_MAX ? $rank : $rank - $floor + $least[$n]),
            );
            $this->exact = $this->exact && $found->exact;
            if ($found->best === null) {
                return $best;
            }
            $parts[] = $found->best;
        }
        $sum = array_sum(array_map(fn(LayoutTrial $t): int => $t->rank($this->aim), $parts));
        if ($sum < $rank || ($best !== null && $sum === $rank && self::key($parts) < self::key($best))) {
            return $parts;
        }

        return $best;
    }

    /**
     * Cost of the runs of a set separately: sharing must not cost more.
     *
     * @param  non-empty-list<Run>  $set
     */
    private function apart(array $set): int
    {
        $rank = 0;
        foreach ($this->units() as $unit) {
            if (in_array($unit[0], $set, true)) {
                $alone = $this->found[self::name($unit)]->best ?? null;
                if ($alone === null) {
                    return PHP_INT_MAX;
                }
                $rank += $alone->rank($this->aim);
            }
        }

        return $rank;
    }

    private function trials(): SetTrials
    {
        return $this->trials ??= new SetTrials($this->search, $this->runs);
    }

    /** @return list<non-empty-list<Run>> runs that share a supply in any case: of one light, or all on request; else each alone */
    private function units(): array
    {
        if ($this->search->tables->wish?->kind === WishKind::OneSupply) {
            return [$this->runs];
        }

        return Sharing::units($this->search->tables->plan, $this->runs);
    }

    /** Two sets are joined where that could save most and does, until it saves nowhere. */
    private function joining(): void
    {
        $joining = new Merging($this->search, $this->aim);
        while (($pick = $joining->most($this->parts)) !== null) {
            [$a, $b] = $pick;
            $joined = $joining->join($this->parts[$a], $this->parts[$b]);
            if ($joined !== null) {
                $this->parts = [...array_values(array_diff_key($this->parts, [$a => true, $b => true])), $joined];
            }
        }
    }

    /** @param  list<Run>  $runs */
    private static function name(array $runs): string
    {
        return implode(' ', array_map(static fn(Run $r): string => $r->id, $runs));
    }

    /** The bound by sets of runs where they are few enough, and cost is asked for. */
    private function shared(): int
    {
        if ($this->aim !== Aim::Cost || count($this->runs) > SharedFloor::MOST) {
            return $this->loosest();
        }

        return max($this->loosest(), (new SharedFloor($this->search, $this->runs))->least([])[0] ?? 0);
    }

    private function loosest(): int
    {
        return (new CostBound($this->search->tables))->for($this->runs, $this->aim);
    }

    /**
     * @param  list<LayoutTrial>  $parts
     * @return list<LayoutTrial> by their first runs
     */
    private function inOrder(array $parts): array
    {
        $at = array_flip(array_map(static fn(Run $r): string => $r->id, $this->runs));
        usort(
            $parts,
            static fn(LayoutTrial $a, LayoutTrial $b): int => $at[$a->layout->runs()[0]] <=> $at[$b->layout->runs()[0]],
        );

        return $parts;
    }

    /** @param  list<LayoutTrial>  $parts */
    private static function key(array $parts): string
    {
        return implode(',', array_map(static fn(LayoutTrial $t): string => $t->key, $parts));
    }
}
