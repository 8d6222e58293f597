<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use Closure;
use EmberDusk\Checks\Protection\Guard;
use EmberDusk\Kit\Fuse;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/** The least layout of runs that share a supply: candidates in the order of their rank are built and solved whole until one holds. */
final class Search
{
    /** Layouts that are solved for one set of runs before the search is cut short. */
    public const MOST = 1500;

    /** As many where an answer is wanted soon: with a choice that a person asked for, or after a way out of a clash. */
    public const BRIEF = 200;

    /** Layouts that are looked at for each that may be solved: most are known to be hopeless. */
    private const SEEN = 13;

    private const EVERY = 100;

    public readonly FeedProof $proof;

    /** @var array<string, LayoutTrial> by the decisions */
    private array $tried = [];

    /** @var array<string, FeedBound> by the way of feeding */
    private array $hubs = [];

    /** @var array<string, FeedBound> the same at a glance */
    private array $glances = [];

    /** @var array<string, KitSnapshot|null> the best controller for a run */
    private array $best = [];

    /** @var array<string, Plan> a plan of some runs alone */
    private array $alone = [];

    public function __construct(
        public readonly Tables $tables,
        private readonly ShelfSource $shelf,
        private readonly PlannerProgress $watch,
        private readonly PlanJudge $judge,
        FeedKinds $known = new FeedKinds(),
    ) {
        $this->proof = new FeedProof($tables, $watch, $known);
    }

    /**
     * @param  non-empty-list<Run>  $runs
     * @param  int  $limit  ranks above it are of no use
     * @param  bool  $rough  what looks hopeless at a glance is left out; nothing is proven then
     *
     * @throws SearchStopped
     */
    public function best(
        array $runs,
        Aim $aim,
        int $limit = PHP_INT_MAX,
        int $most = self::MOST,
        bool $rough = false,
    ): SearchResult {
        $cheaper = [];
        $bound = 0;
        $count = $seen = 0;
        $fits = fn(FeedOption $f): bool => !$this->glance($f)->hopeless &&
            $this->glance($f)->drop <=
                $this->tables->plan->limits->drop * $this->tables->strip($this->tables->plan->run($f->run))->volts;
        foreach (
            Candidates::for(
                tables: $this->tables,
                runs: $runs,
                aim: $aim,
                fits: $rough ? $fits : null,
                holds: $rough ? null : fn(FeedOption $f): bool => !$this->proof->bound($f)->hopeless,
                fails: $rough ? null : $this->stranded(...),
            )
            as $bound => $layout
        ) {
            if (++$seen % self::EVERY === 0) {
                $this->watch->look(self::names($runs));
            }
            if ($bound > $limit || $seen > $most * self::SEEN) {
                return new SearchResult(
                    best: null,
                    bound: $bound,
                    exact: $bound > $limit,
                    cheaper: array_values($cheaper),
                );
            }
            // The first of some patterns are solved even if hopeless: they tell why nothing cheaper does.
            $pattern = implode(
                ' ',
                array_map(
                    static fn(RunBlock $b): string => implode(
                        ' ',
                        array_map(static fn(FeedOption $f): string => $f->pattern, $b->feeds),
                    ),
                    $layout->blocks,
                ),
            );
            $told = isset($cheaper[$pattern]) || count($cheaper) >= ($rough ? 1 : Candidates::REASONS);
            if ($told && $this->hopeless($layout, $rough)) {
                continue;
            }
            if ($count++ >= $most) {
                return new SearchResult(best: null, bound: $bound, exact: false, cheaper: array_values($cheaper));
            }
            $tried = $this->try($layout, $runs);
            if ($tried->judged->holds()) {
                return new SearchResult(best: $tried, bound: $bound, exact: !$rough, cheaper: array_values($cheaper));
            }
            if (!$told) {
                $cheaper += [$pattern => $tried];
            }
        }

        return new SearchResult(best: null, bound: $bound, exact: !$rough, cheaper: array_values($cheaper));
    }

    /**
     * @param  list<Run>  $runs
     *
     * @throws SearchStopped
     */
    public function try(Layout $layout, array $runs): LayoutTrial
    {
        $key = $layout->key();
        if (!isset($this->tried[$key])) {
            $this->watch->step(self::names($runs));
            $made = $layout->built($this->alone($runs), $this->tables, $this->shelf);
            $this->tried[$key] = new LayoutTrial(
                layout: $layout,
                judged: $this->judge->judge($made, array_values($made->runs)),
                cost: $layout->cost($this->tables),
                joints: $layout->joints($this->tables),
                boxes: $layout->boxes(),
                key: $key,
            );
        }

        return $this->tried[$key];
    }

    /**
     * Whether a layout cannot hold, known without solving it: a way of feeding that fails at any volts, a fuse that blows
     * or a trunk that loses too much at the least amps.
     */
    private function hopeless(Layout $layout, bool $rough): bool
    {
        if ($rough) {
            return $this->fails($layout, $this->glance(...));
        }

        return $this->fails($layout, $this->proof->bound(...)) || $this->fails($layout, $this->hub(...));
    }

    /**
     * Whether runs that share a controller cannot hold with any cables: one of them fails however it is fed, or the thickest trunk loses too much at
     * the least amps.
     *
     * @param  non-empty-list<Run>  $block
     */
    private function stranded(array $block, string $supply, string $place): bool
    {
        $amps = $drop = 0.0;
        foreach ($block as $run) {
            $bounds = array_filter(
                array_map($this->proof->bound(...), $this->tables->feeds($run, $place, Aim::Cost)),
                static fn(FeedBound $b): bool => !$b->hopeless,
            );
            if ($bounds === []) {
                return true;
            }
            $amps += min(array_column($bounds, 'amps'));
            $drop = max($drop, min(array_column($bounds, 'drop')));
        }
        $trunks = array_filter($this->tables->trunks($block));
        $metres = $this->tables->routes->trunk($supply, $place);
        $ohms = array_map(fn(KitSnapshot $t): float => $this->tables->ohms($t, $metres), $trunks);

        return $ohms !== [] && $this->lost($drop, $amps, min($ohms), $block[0]);
    }

    /** Whether a trunk loses too much before ways of feeding that lose so many volts. */
    private function lost(float $drop, float $amps, float $ohms, Run $run): bool
    {
        return $drop + $amps * $ohms > $this->proof->solver->limit($run) + 1e-3;
    }

    /** @param  Closure(FeedOption): FeedBound  $bound  of a way of feeding */
    private function fails(Layout $layout, Closure $bound): bool
    {
        $all = 0.0;
        foreach ($layout->blocks as $block) {
            $amps = 0.0;
            $drop = 0.0;
            foreach ($block->feeds as $feed) {
                $hub = $bound($feed);
                if ($hub->hopeless) {
                    return true;
                }
                [$amps, $drop] = [$amps + $hub->amps, max($drop, $hub->drop)];
            }
            $all += $amps;
            $fuse = $layout->fuse($this->tables, $block->capacity($this->tables))?->entry;
            if ($block->trunk === null) {
                continue;
            }
            if ($fuse instanceof Fuse && Guard::needs($amps) > $fuse->amps + 1e-3) {
                return true;
            }
            $ohms = $this->tables->ohms($block->trunk, $this->tables->routes->trunk($layout->place, $block->place));
            if ($this->lost($drop, $amps, $ohms, $this->tables->plan->run($block->feeds[0]->run))) {
                return true;
            }
        }

        return !$layout->source->bears($all);
    }

    /** @param  list<Run>  $runs */
    private static function names(array $runs): string
    {
        return implode(', ', array_map(static fn(Run $r): string => $r->name(), $runs));
    }

    private function glance(FeedOption $feed): FeedBound
    {
        return $this->glances[$feed->key] ??= FeedBound::roughly($this->tables, $feed);
    }

    private function hub(FeedOption $feed): FeedBound
    {
        $run = $this->tables->plan->run($feed->run);
        if (!isset($this->hubs[$feed->key])) {
            $this->watch->step($run->name());
            $this->best[$run->id] ??= $this->tables->strip($run)->switched()
                ? FeedBound::least($this->tables->controllers([$run], true))
                : null;
            $this->hubs[$feed->key] = FeedBound::for($this->tables, $feed, $this->best[$run->id]);
        }

        return $this->hubs[$feed->key];
    }

    /**
     * The plan with these runs and what hangs with them on pinned supplies, and nothing else: solving it touches nothing else.
     *
     * @param  list<Run>  $runs
     */
    private function alone(array $runs): Plan
    {
        $ids = array_map(static fn(Run $r): string => $r->id, $runs);

        return $this->alone[implode(' ', $ids)] ??= PlanExcerpt::for($this->tables->plan, $ids);
    }
}
