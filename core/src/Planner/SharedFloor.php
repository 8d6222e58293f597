<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Checks\Protection\Guard;
use EmberDusk\Kit\Cable;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\KitSnapshot;
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

    /** @var list<string> */
    private array $places;

    /** @var array<int, KitSnapshot|null> by set */
    private array $controllers = [];

    /** @var array<int, bool> by set */
    private array $possible = [];

    /** @var array<string, float> of trunks, by their ends */
    private array $metres = [];

    /** @var array<string, int> sets of runs that are one light, by its controller: they stay together */
    private array $lights = [];

    /** @var array<int, array<string, array{int, RunBlock}|null>> by set; by place of the supply, amps that all cables carry, fuse, and kind of source */
    private array $blocks = [];

    /** @var list<float> amps of the fuses */
    private readonly array $fuses;

    /** @var array<string, float> at least, by run */
    private array $amps = [];

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
        private readonly float $tight = 1.0,
        private readonly ?float $load = null,
    ) {
        $this->all = 2 ** count($runs) - 1;
        $this->places = $search->tables->places($runs, false);
        $this->fuses = $search->tables->fuseAmps();
        // The longest run of each kind first: what it takes a metre, the shorter ones take at least.
        $longest = $runs;
        usort(
            $longest,
            static fn(Run $a, Run $b): int => $search->tables->plan->of($b)->litLength() <=>
                $search->tables->plan->of($a)->litLength(),
        );
        $this->amps($longest);
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

    /** @param  list<string>  $runs  Forgets every set with one of these: of their ways of feeding more is known. */
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
                $parted = $source->bears($this->amps($runs)) ? $this->parted($set, $source, $place) : null;
                if ($parted !== null && ($best === null || $source->cost + $parted[0] < $best[0])) {
                    $best = [$source->cost + $parted[0], $source, $place, $parted[1]];
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
     * Amps of runs.
     *
     * @param  non-empty-list<Run>  $runs
     */
    private function amps(array $runs): float
    {
        $amps = 0.0;
        foreach ($runs as $run) {
            $this->amps[$run->id] ??=
                $this->load === null ? $this->search->proof->amps($run) : $this->load * $this->full($run);
            $amps += $this->amps[$run->id];
        }

        return $amps;
    }

    private function full(Run $run): float
    {
        $strip = $this->search->tables->strip($run);

        return ($strip->wattsPerMetre() * $this->search->tables->plan->of($run)->litLength() * $run->cap) /
            $strip->volts;
    }

    /**
     * Ways to protect the cables of a block: all carry the supply's overload, or there is a fuse that its load needs and that all carry.
     *
     * @param  non-empty-list<Run>  $runs
     * @return list<array{float, int}> amps that every cable must carry, and what a fuse costs
     */
    private function guards(array $runs, PowerSource $source): array
    {
        $load = Guard::needs($this->amps($runs));
        $overload = $source->supply->overloadAmps;
        $fuses = array_filter(
            $this->fuses,
            static fn(float $amps): bool => $amps >= $load - 1e-3 && $amps < $overload - 1e-9,
        );

        return [[$overload, 0], ...$fuses === [] ? [] : [[min($fuses), $this->search->tables->leastFuse()]]];
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
        foreach ($this->guards($this->runs($set), $source) as [$carries, $fuse]) {
            $key = "{$place}/{$carries}/{$fuse}/{$source->tapped()}";
            if (!array_key_exists($key, $this->blocks[$set] ?? [])) {
                $this->blocks[$set][$key] = $this->carrying(
                    set: $set,
                    place: $place,
                    carries: $carries,
                    fuse: $fuse,
                    tapped: $source->tapped(),
                );
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

        return $this->controller($set) !== null;
    }

    /**
     * @param  bool  $tapped  at the posts of a bank, which need no terminals
     * @return array{int, RunBlock}|null the same, all cables carrying so many amps, behind such a fuse
     */
    private function carrying(int $set, string $place, float $carries, int $fuse, bool $tapped): ?array
    {
        $runs = $this->runs($set);
        $tables = $this->search->tables;
        $switched = $tables->strip($runs[0])->switched();
        $controller = $switched ? $this->controller($set) : null;
        $posts = $tapped && !$switched;
        $best = null;
        foreach ($switched ? $this->places : [$place] as $at) {
            foreach ($this->trunks($runs, $switched, $place, $at, $carries) as [$cost, $trunk, $lost]) {
                $cost += ($controller === null ? 0 : $tables->costs->unit($controller)) + ($switched ? $fuse : 0);
                $feeds = [];
                foreach ($runs as $run) {
                    $limit = $this->search->proof->limit($run) + FeedProof::MISSED;
                    // Behind a trunk that loses more the tails lose less: the bound counts each against the limit for itself.
                    $volts = $this->load === null ? $limit : ($limit - $lost) / $this->tight;
                    $feed =
                        $lost > $limit
                            ? null
                            : $this->search->proof->cheapest(
                                run: $run,
                                place: $at,
                                capacity: $carries,
                                volts: $volts,
                                likely: $this->load !== null,
                                posts: $posts,
                            );
                    if ($feed === null) {
                        continue 2;
                    }
                    $feeds[] = $feed;
                    // Without a trunk each cable from the supply has its own.
                    $cost += $feed->cost + ($switched ? 0 : $fuse * ($feed->leg === null ? count($feed->pads) : 1));
                }
                $block = new RunBlock($controller, $at, $trunk, $feeds);
                $cost -= $tapped ? $tables->costs->terminals($block->starts($tables)) : 0;
                if ($best === null || $cost < $best[0]) {
                    $best = [$cost, $block];
                }
            }
        }

        return $best;
    }

    /** @param  non-empty-list<Run>  $runs  Whether a controller bears what they take. */
    private function bears(KitSnapshot $controller, array $runs): bool
    {
        $amps = $this->amps($runs);
        $channels = count($this->search->tables->strip($runs[0])->channels);

        return !($controller->entry instanceof Controller) ||
            ($amps <= $controller->entry->totalAmps + 1e-6 &&
                $amps / $channels <= $controller->entry->channelAmps + 1e-6);
    }

    /** The cheapest controller that carries a set of runs that are alike; null where none does. */
    private function controller(int $set): ?KitSnapshot
    {
        if (!array_key_exists($set, $this->controllers)) {
            $runs = $this->runs($set);
            $tables = $this->search->tables;
            $fits = (new Sharing($tables))->together($runs) && $tables->strip($runs[0])->switched();
            $this->controllers[$set] = null;
            foreach ($fits ? $tables->controllers($runs, false) : [] as $controller) {
                if ($this->bears($controller, $runs)) {
                    $this->controllers[$set] = $controller;
                    break;
                }
            }
        }

        return $this->controllers[$set];
    }

    /**
     * Trunks to a controller that carry so many amps; none for pixels.
     *
     * @param  non-empty-list<Run>  $runs
     * @return list<array{int, KitSnapshot|null, float}> cost, cable, and the volts that it loses at least
     */
    private function trunks(array $runs, bool $switched, string $from, string $to, float $carries): array
    {
        if (!$switched) {
            return [[0, null, 0.0]];
        }
        $tables = $this->search->tables;
        $metres = $this->metres["{$from}/{$to}"] ??= $tables->routes->trunk($from, $to);
        $amps = $this->amps($runs);
        $trunks = [];
        foreach (array_filter($tables->trunks($runs)) as $cable) {
            if ($tables->carries($cable) >= $carries - 1e-9 && $cable->entry instanceof Cable) {
                $trunks[] = [
                    $tables->costs->cable($cable, $metres) + $tables->costs->terminals(RunBlock::TRUNK),
                    $cable,
                    $amps * $tables->ohms($cable, $metres),
                ];
            }
        }

        return $trunks;
    }
}
