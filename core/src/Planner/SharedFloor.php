<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Plan\Run;

/**
 * Least cost of every set of a few runs on one supply: the cheapest feeding of each run that is not excluded, controllers that carry their runs,
 * trunks and their fuses, by exact dynamic programming over subsets. Cables may prove too thin when it is solved: a lower bound. Sets are bit masks
 * of the runs; costs in hundredths of the smallest coin.
 */
final class SharedFloor
{
    /** Most runs: the work grows by three for each. */
    public const MOST = 10;

    private readonly int $all;

    /** @var array<int, bool> by set */
    private array $possible = [];

    private readonly BlockFloor $under;

    /** @var array<string, int> sets of runs that are one light, by its controller: they stay together */
    private array $lights = [];

    /** @var array<int, array<string, array{int, RunBlock}|null>> by set; by place of the supply, amps that all cables carry, fuse, and kind of source */
    private array $blocks = [];

    /** @var array<string, array<int, array{int, list<RunBlock>}|null>> by the source's overload, its kind and place, by set: blocks */
    private array $parted = [];

    /** @var array<int, array{int, Layout}|null> by set */
    private array $floors = [];

    /**
     * @param  non-empty-list<Run>  $runs
     * @param  float  $tight  factor on volts lost: 1 for a bound, more for layouts that are likely to hold
     * @param  float|null  $load  share of its full load that a run takes; null: what it takes at least, for a bound
     */
    public function __construct(
        private readonly Search $search,
        private readonly array $runs,
        float $tight = 1.0,
        ?float $load = null,
    ) {
        $this->all = 2 ** count($runs) - 1;
        $this->under = new BlockFloor($search, $search->tables->places($runs, false), $tight, $load);
        // The longest run of each kind first: what it takes a metre, the shorter ones take at least.
        $longest = $runs;
        usort(
            $longest,
            static fn(Run $a, Run $b): int => $search->tables->plan->of($b)->litLength() <=>
                $search->tables->plan->of($a)->litLength(),
        );
        $this->under->amps($longest);
        foreach ($runs as $n => $run) {
            $light = isset($search->tables->plan->lights[$run->controller ?? '']) ? (string) $run->controller : '';
            $this->lights[$light] = ($this->lights[$light] ?? 0) | (1 << $n);
        }
        unset($this->lights['']);
    }

    /** @return non-empty-list<Run> */
    public function runs(int $set): array
    {
        $runs = [];
        foreach ($this->runs as $n => $run) {
            if (($set & (1 << $n)) !== 0) {
                $runs[] = $run;
            }
        }

        return $runs === [] ? throw new \LogicException('A set has runs.') : $runs;
    }

    /**
     * Parts all runs into sets with the least sum.
     *
     * @param  array<int, int|null>  $known  costs of some sets; null: not to be used
     * @param  bool  $only  no other sets than those
     * @return array{int, list<int>}|null sum and sets
     */
    public function least(array $known, bool $only = false): ?array
    {
        $best = [0 => [0, []]];
        for ($set = 1; $set <= $this->all; $set++) {
            $low = $set & -$set;
            $least = null;
            for ($sub = $set; $sub > 0; $sub = ($sub - 1) & $set) {
                $rest = $best[$set ^ $sub] ?? null;
                if (($sub & $low) === 0 || $rest === null) {
                    continue;
                }
                $cost = array_key_exists($sub, $known) || $only ? $known[$sub] ?? null : $this->floor($sub)[0] ?? null;
                if ($cost !== null && ($least === null || $cost + $rest[0] < $least[0])) {
                    $least = [$cost + $rest[0], [...$rest[1], $sub]];
                }
            }
            $best[$set] = $least;
        }

        return $best[$this->all] ?? null;
    }

    /** @param  list<string>  $runs  Forgets every set with one of these: of which of their ways of feeding are likely more is known. */
    public function forget(array $runs): void
    {
        $of = 0;
        foreach ($this->runs as $n => $run) {
            $of |= in_array($run->id, $runs, true) ? 1 << $n : 0;
        }
        $this->blocks = array_filter(
            $this->blocks,
            static fn(int $set): bool => ($set & $of) === 0,
            ARRAY_FILTER_USE_KEY,
        );
        [$this->parted, $this->floors] = [[], []];
    }

    /**
     * Forgets every block with one of these ways of feeding, which are known to be worse now: it was the least only for having them, and what
     * they kept out costs no less and was no better.
     *
     * @param  list<FeedOption>  $options
     */
    public function worse(array $options): void
    {
        $keys = array_fill_keys(array_map(static fn(FeedOption $f): string => $f->key, $options), true);
        $runs = array_column($options, 'run');
        foreach ($this->runs as $n => $run) {
            foreach (in_array($run->id, $runs, true) ? $this->blocks : [] as $set => $kinds) {
                if (($set & (1 << $n)) !== 0) {
                    $this->blocks[$set] = array_filter(
                        $kinds,
                        static fn(?array $block): bool => $block === null ||
                            array_filter($block[1]->feeds, static fn(FeedOption $f): bool => isset($keys[$f->key])) ===
                                [],
                    );
                }
            }
        }
        [$this->parted, $this->floors] = [[], []];
    }

    /** @return list<FeedOption> feeds of a block that lose too much behind its trunk beside its other runs */
    public function behind(Layout $layout, RunBlock $block): array
    {
        $tables = $this->search->tables;
        if ($block->trunk === null) {
            return [];
        }
        $ohms = $tables->ohms($block->trunk, $tables->routes->trunk($layout->place, $block->place));

        $failing = array_values(
            array_filter(
                $block->feeds,
                fn(FeedOption $f): bool => $this->search->proof->trunks->refutes(
                    $f,
                    $this->under->room($block, $f, $ohms),
                ),
            ),
        );
        foreach ($failing as $feed) {
            $this->search->proof->forget($tables->plan->run($feed->run));
        }

        return $failing;
    }

    /** Doubts a way of feeding of a block that was too uneven in a layout. Returns whether that is new. */
    public function doubt(Layout $layout, RunBlock $block, FeedOption $feed): bool
    {
        $tables = $this->search->tables;
        $runs = array_map(static fn(FeedOption $f): Run => $tables->plan->run($f->run), $block->feeds);
        $ohms =
            $block->trunk === null
                ? 0.0
                : $tables->ohms($block->trunk, $tables->routes->trunk($layout->place, $block->place));

        return $runs !== [] && $this->search->proof->doubt($feed, $this->under->share($runs, $ohms));
    }

    /** @return array{int, Layout}|null bound of a set on one supply, with the layout that it is of */
    public function floor(int $set): ?array
    {
        if (array_key_exists($set, $this->floors)) {
            return $this->floors[$set];
        }
        $best = null;
        $runs = $this->runs($set);
        $tables = $this->search->tables;
        foreach ($tables->places($runs, true) as $place) {
            foreach ($tables->sources->at($runs, $place, false) as $source) {
                $parted = $source->bears($this->under->amps($runs)) ? $this->parted($set, $source, $place) : null;
                if ($parted !== null && ($best === null || $source->total() + $parted[0] < $best[0])) {
                    $best = [$source->total() + $parted[0], $source, $place, $parted[1]];
                }
            }
        }
        if ($best === null) {
            return $this->floors[$set] = null;
        }
        [$cost, $source, $place, $blocks] = $best;
        usort($blocks, static fn(RunBlock $a, RunBlock $b): int => strnatcmp($a->feeds[0]->run, $b->feeds[0]->run));

        return $this->floors[$set] = [$cost, new Layout($source, $place, $blocks)];
    }

    /**
     * A set parted into blocks behind one supply at one place, its parts before it.
     *
     * @return array{int, list<RunBlock>}|null cost and blocks
     */
    private function parted(int $set, PowerSource $source, string $place): ?array
    {
        $key = "{$source->supply->overloadAmps}/{$source->tapped()}/{$place}";
        if ($set === 0) {
            return [0, []];
        }
        if (array_key_exists($set, $this->parted[$key] ?? [])) {
            return $this->parted[$key][$set];
        }
        $best = null;
        $low = $set & -$set;
        for ($sub = $set; $sub > 0; $sub = ($sub - 1) & $set) {
            if (($sub & $low) === 0) {
                continue;
            }
            $block = $this->block($sub, $source, $place);
            $rest = $block === null ? null : $this->parted($set ^ $sub, $source, $place);
            if ($block !== null && $rest !== null && ($best === null || $best[0] > $block[0] + $rest[0])) {
                $best = [$block[0] + $rest[0], [...$rest[1], $block[1]]];
            }
        }

        return $this->parted[$key][$set] = $best;
    }

    /** @return array{int, RunBlock}|null least cost of runs under one controller; of pixels one run at the supply's */
    private function block(int $set, PowerSource $source, string $place): ?array
    {
        if (!($this->possible[$set] ??= $this->possible($set))) {
            return null;
        }
        $best = null;
        foreach ($this->under->guards($this->runs($set), $source) as $guard) {
            $key = "{$place}/{$guard->carries}/{$guard->cost}/{$source->tapped()}";
            if (!array_key_exists($key, $this->blocks[$set] ?? [])) {
                $this->blocks[$set][$key] = $this->under->least($this->runs($set), $place, $guard, $source->tapped());
            }
            if ($best === null || ($this->blocks[$set][$key][0] ?? PHP_INT_MAX) < $best[0]) {
                $best = $this->blocks[$set][$key] ?? $best;
            }
        }

        return $best;
    }

    /** Whether runs can share a block: no light is torn apart, a controller carries them all; each pixel run has a board of its own. */
    private function possible(int $set): bool
    {
        $runs = $this->runs($set);
        foreach ($this->lights as $of) {
            if (!in_array($set & $of, [0, $of], true)) {
                return false;
            }
        }
        if (!$this->search->tables->strip($runs[0])->switched()) {
            return count($runs) === 1;
        }

        return $this->under->controllers($runs) !== [];
    }
}
