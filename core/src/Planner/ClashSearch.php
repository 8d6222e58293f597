<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Checks\PlannerLimit;
use EmberDusk\Plan\Run;

/**
 * Search for the limits that clash. Where layouts are few, all are solved. Else the kit, the places and the ways of feeding are changed one after
 * another towards a layout that holds; and again towards one that holds the limits named so far, until none is found.
 */
final class ClashSearch
{
    /** Layouts that are solved for one set of runs. */
    public const MOST = 300;

    /** Entries of one list that are tried at a time. */
    private const TRIES = 16;

    private ?LayoutTrial $nearest = null;

    /** @var array<string, list<PlannerLimit>> limits that a layout breaks together */
    private array $sets = [];

    /** @var list<ChoiceLists> */
    private readonly array $spaces;

    private int $solved = 0;

    /** @param  non-empty-list<Run>  $runs */
    private function __construct(
        private readonly Search $search,
        private readonly array $runs,
        private readonly int $most,
    ) {
        // Limits are named by the patterns: places along a run break the same ones, and are many.
        $this->spaces = Candidates::spaces($search->tables, $runs);
    }

    /**
     * The fewest limits of which every layout that was solved breaks one, and the nearest layout, which may break none.
     *
     * @param  non-empty-list<Run>  $runs
     * @param  int  $most  layouts that are solved
     * @param  bool  $exact  whether the places along the runs were searched to the end
     *
     * @throws SearchStopped
     */
    public static function for(Search $search, array $runs, int $most, bool $exact): Clash
    {
        return (new self($search, $runs, $most))->clash($exact);
    }

    private function clash(bool $exact): Clash
    {
        $all = array_sum(array_map(static fn(ChoiceLists $c): int|float => $c->count(), $this->spaces)) <= $this->most;
        if ($all) {
            foreach ($this->spaces as $space) {
                foreach ($space->points() as $at) {
                    $this->try($space, $at);
                }
            }
        } elseif ($this->spaces !== []) {
            $this->fewest();
        }

        return new Clash($this->runs, Clash::fewest(array_values($this->sets)), $this->nearest, $all && $exact);
    }

    /** Names the fewest limits so far, and looks for a layout that breaks none of these. */
    private function fewest(): void
    {
        $limits = PlannerLimit::cases();
        do {
            $this->approach($limits);
            $before = $limits;
            $limits = Clash::fewest(array_values($this->sets));
        } while ($limits !== $before && $limits !== [] && $this->solved < $this->most);
    }

    /**
     * Changes one choice after another for one that breaks fewer of some limits, until no change helps.
     *
     * @param  list<PlannerLimit>  $limits
     */
    private function approach(array $limits): void
    {
        // From thick cables and large units, which break the fewest limits.
        $space = $this->spaces[0];
        $at = $space->last();
        $best = $this->try($space, $at);
        do {
            $before = $best;
            for ($list = count($at) - 1; $list >= -1; $list--) {
                $points = $list < 0 ? $this->elsewhere($best->layout) : self::changed($space, $at, $list);
                foreach ($points as [$other, $point]) {
                    if ($this->solved >= $this->most || $this->nearest?->judged->holds() === true) {
                        return;
                    }
                    $tried = $this->try($other, $point);
                    if (self::far($tried, $limits) < self::far($best, $limits)) {
                        [$best, $space, $at] = [$tried, $other, $point];
                    }
                }
            }
        } while ($best !== $before);
    }

    /**
     * Points that differ in one list. Of a way of feeding: the same with other cables, and the other patterns with the thickest.
     *
     * @param  list<int>  $at
     * @return list<array{ChoiceLists, list<int>}>
     */
    private static function changed(ChoiceLists $space, array $at, int $list): array
    {
        $entries = $space->lists[$list];
        $now = $entries[$at[$list]];
        if ($now instanceof FeedOption) {
            $feeds = array_filter($entries, static fn(object $e): bool => $e instanceof FeedOption);
            $thickest = SimpleLayouts::thickest($feeds);
            $entries = array_filter(
                $feeds,
                static fn(FeedOption $f): bool => $f->pattern === $now->pattern || in_array($f, $thickest, true),
            );
        }
        $points = [];
        $every = max(1, intdiv(count($entries), self::TRIES));
        foreach (array_keys($entries) as $n => $entry) {
            if ($n % $every === 0 || $n === count($entries) - 1) {
                $points[] = [$space, array_values(array_replace($at, [$list => $entry]))];
            }
        }

        return $points;
    }

    /** @return list<array{ChoiceLists, list<int>}> points with the same kit and feeds in other places, or shared in another way */
    private function elsewhere(Layout $layout): array
    {
        return array_map(static fn(ChoiceLists $space): array => [$space, $space->nearest($layout)], $this->spaces);
    }

    /** @param  list<int>  $at */
    private function try(ChoiceLists $space, array $at): LayoutTrial
    {
        $this->solved++;
        $tried = $this->search->try($space->layout($at), $this->runs);
        if ($tried->nearerThan($this->nearest)) {
            $this->nearest = $tried;
        }
        $limits = $tried->judged->limits();
        $this->sets[implode(',', array_map(static fn(PlannerLimit $l): string => $l->value, $limits))] = $limits;

        return $tried;
    }

    /**
     * How far a layout is from some limits, then from all.
     *
     * @param  list<PlannerLimit>  $limits
     * @return list<int|float>
     */
    private static function far(LayoutTrial $tried, array $limits): array
    {
        return [...$tried->judged->far($limits), ...$tried->judged->far(PlannerLimit::cases()), $tried->cost];
    }
}
