<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use Closure;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Plan\Routes\Routes;
use EmberDusk\Plan\Run;
use SplPriorityQueue;

/**
 * Every layout of some runs that share one supply, the least in rank first, ties by the decisions' JSON. Nothing is built or
 * solved here, and nothing is left out but what cannot be: units too small for the load, unless all are asked for.
 */
final class Candidates
{
    /** Patterns that cannot hold and are left for each run. */
    public const REASONS = 3;

    /** Supplies, controllers and ways of feeding that are looked at where only some are worth a look: the least dear. */
    private const NARROW = [2, 2, 16];

    /** @var SplPriorityQueue<int, Candidate> by rank */
    private SplPriorityQueue $queue;

    /** @var list<ChoiceLists> one for each way to place the supply and the controllers */
    private array $spaces = [];

    /** @param  non-empty-list<Run>  $runs */
    private function __construct(
        private readonly Tables $tables,
        array $runs,
        private readonly Aim $aim,
        private readonly bool $all,
        private readonly ?Closure $fits = null,
        private readonly ?Closure $holds = null,
        private readonly ?Closure $fails = null,
    ) {
        $this->queue = new SplPriorityQueue();
        foreach ((new Sharing($tables))->blocks($runs) as $blocks) {
            $this->spread($runs, $blocks);
        }
        foreach ($this->spaces as $space) {
            $this->push($space->rank($space->first()), $space, $space->first(), 0, null);
        }
    }

    /**
     * @param  non-empty-list<Run>  $runs
     * @param  (Closure(FeedOption): bool)|null  $fits  ways of feeding to consider
     * @param  (Closure(FeedOption): bool)|null  $holds  ways of feeding that may meet the limits; some patterns of the others are kept as reasons
     * @param  (Closure(non-empty-list<Run>, string, string): bool)|null  $fails  whether no layout of runs on one controller can hold, by the places
     *     of supply and controller
     * @return iterable<int, Layout> by their rank
     */
    public static function for(
        Tables $tables,
        array $runs,
        Aim $aim,
        ?Closure $fits = null,
        ?Closure $holds = null,
        ?Closure $fails = null,
    ): iterable {
        return (new self($tables, $runs, $aim, false, $fits, $holds, $fails))->inOrder();
    }

    /**
     * The lists of choices of all layouts by patterns, with units that are too small, those with the least dear layout first.
     *
     * @param  non-empty-list<Run>  $runs
     * @return list<ChoiceLists>
     */
    public static function spaces(Tables $tables, array $runs): array
    {
        $spaces = (new self($tables, $runs, Aim::Cost, true))->spaces;
        usort(
            $spaces,
            static fn(ChoiceLists $a, ChoiceLists $b): int => $a->rank($a->first()) <=> $b->rank($b->first()),
        );

        return $spaces;
    }

    /**
     * The least rank that any of them can have; null when there is none.
     *
     * @param  non-empty-list<Run>  $runs
     */
    public static function floor(Tables $tables, array $runs, Aim $aim): ?int
    {
        return (new self($tables, $runs, $aim, false))->pop()?->rank;
    }

    private function pop(): ?Candidate
    {
        if ($this->queue->isEmpty()) {
            return null;
        }
        $next = $this->queue->extract();
        assert($next instanceof Candidate);

        return $next;
    }

    /** @param  list<int>  $at */
    private function push(int $rank, ChoiceLists $space, array $at, int $last, ?Layout $layout): void
    {
        $this->queue->insert(new Candidate($rank, $space, $at, $last, $layout), -$rank);
    }

    /** @return iterable<int, Layout> by their rank */
    private function inOrder(): iterable
    {
        $ready = [];
        $before = 0;
        while (($next = $this->pop()) !== null) {
            [$rank, $space, $at] = [$next->rank, $next->space, $next->at];
            if ($ready !== [] && $rank > $before) {
                foreach (self::sorted($ready) as $layout) {
                    yield $before => $layout;
                }
                $ready = [];
            }
            $before = $rank;
            if ($next->layout !== null) {
                $ready[] = $next->layout;

                continue;
            }
            // Only at and behind the list that was moved last: so each place is reached once.
            for ($list = $next->last, $count = count($at); $list < $count; $list++) {
                $more = $space->next($at, $list);
                if ($more !== null) {
                    $this->push(rank: $space->rank($more), space: $space, at: $more, last: $list, layout: null);
                }
            }
            $layout = $space->layout($at);
            $this->push(
                rank: $this->aim->rank($layout->cost($this->tables), $layout->joints($this->tables), $layout->boxes()),
                space: $space,
                at: $at,
                last: $next->last,
                layout: $layout,
            );
        }
        foreach (self::sorted($ready) as $layout) {
            yield $before => $layout;
        }
    }

    /**
     * @param  list<Layout>  $layouts
     * @return list<Layout>
     */
    private static function sorted(array $layouts): array
    {
        if (count($layouts) > 1) {
            usort($layouts, static fn(Layout $a, Layout $b): int => strcmp($a->key(), $b->key()));
        }

        return $layouts;
    }

    /**
     * One space for each way to place the supply and the controllers.
     *
     * @param  non-empty-list<Run>  $runs
     * @param  list<non-empty-list<Run>>  $blocks
     */
    private function spread(array $runs, array $blocks): void
    {
        $most = $this->fits === null ? null : self::NARROW[0];
        foreach ($this->places($runs, true) as $place) {
            $sources = $this->tables->sources->at($runs, $place, $this->all);
            // Apart: at the posts of a bank cables need no terminals.
            $kinds = [
                array_filter($sources, static fn(PowerSource $s): bool => $s->tapped()),
                array_filter($sources, static fn(PowerSource $s): bool => !$s->tapped()),
            ];
            $ways = [[]];
            foreach ($blocks as $block) {
                $own = $this->tables->strip($block[0])->switched() ? $this->places($block, false) : [$place];
                $ways = array_merge(
                    ...array_map(
                        static fn(array $way): array => array_map(static fn(string $p): array => [...$way, $p], $own),
                        $ways,
                    ),
                );
            }
            foreach ($ways as $places) {
                foreach ($kinds as $list) {
                    $list = array_slice($list, 0, $most);
                    if ($list !== []) {
                        $this->space($list, $place, $places, $blocks);
                    }
                }
            }
        }
    }

    /**
     * @param  non-empty-list<PowerSource>  $sources  all banks, whose posts need no terminals, or none
     * @param  list<string>  $places
     * @param  list<non-empty-list<Run>>  $blocks
     */
    private function space(array $sources, string $place, array $places, array $blocks): void
    {
        $tapped = $sources[0]->tapped();
        // The cheapest unit is enough to explain why a block cannot meet the limits.
        $most = $this->hopeless($blocks, $place, $places) ? 1 : null;
        $sources = array_slice($sources, 0, $most);
        $ranks = [array_map(fn(PowerSource $s): int => $this->aim->rank($s->total(), $s->joined(), 0), $sources)];
        $joints = $tapped ? RunBlock::TRUNK / 2 : RunBlock::TRUNK;
        $lists = [];
        foreach ($blocks as $n => $block) {
            $controllers = $trunks = [];
            if ($this->tables->strip($block[0])->switched()) {
                $metres = $this->tables->routes->trunk($place, $places[$n]);
                $controllers = array_slice($this->narrow($this->tables->controllers($block, $this->all), 1), 0, $most);
                $trunks = array_values(array_filter($this->tables->trunks($block)));
                usort(
                    $trunks,
                    fn(KitSnapshot $a, KitSnapshot $b): int => [
                        $this->tables->costs->cable($a, $metres),
                        $a->entry->id(),
                    ] <=> [$this->tables->costs->cable($b, $metres), $b->entry->id()],
                );
                $trunks = array_slice($trunks, 0, $most);
                $ranks[] = array_map(
                    fn(KitSnapshot $f): int => $this->aim->rank($this->tables->costs->unit($f), 0, 0),
                    $controllers,
                );
                $ranks[] = array_map(
                    fn(KitSnapshot $f): int => $this->aim->rank(
                        $this->tables->costs->cable($f, $metres) + $this->tables->costs->terminals($joints),
                        $joints,
                        0,
                    ),
                    $trunks,
                );
            }
            $ways = [];
            foreach ($block as $run) {
                $ways[] = $feeds = $this->feeds($run, $places[$n], $tapped && $trunks === []);
                $posts = fn(FeedOption $f): int => $tapped && $trunks === [] ? $this->tables->starts($f) : 0;
                $ranks[] = array_map(
                    fn(FeedOption $f): int => $this->aim->rank(
                        $f->cost - $this->tables->costs->terminals($posts($f)),
                        $f->joints - $posts($f),
                        0,
                    ),
                    $feeds,
                );
            }
            $lists[] = new BlockChoices($controllers, $trunks, $ways);
        }
        $space = new ChoiceLists(
            place: $place,
            places: $places,
            sources: $sources,
            blocks: $lists,
            ranks: $ranks,
            base: $this->aim->rank(0, 0, count(array_unique([...$tapped ? [] : [$place], ...$places]))),
        );
        if ($space->count() > 0) {
            $this->spaces[] = $space;
        }
    }

    /**
     * Whether one of the blocks cannot hold between these places.
     *
     * @param  list<non-empty-list<Run>>  $blocks
     * @param  list<string>  $places
     */
    private function hopeless(array $blocks, string $supply, array $places): bool
    {
        if ($this->fails === null) {
            return false;
        }
        foreach ($blocks as $n => $block) {
            if (($this->fails)($block, $supply, $places[$n])) {
                return true;
            }
        }

        return false;
    }

    /**
     * Ways of feeding that are looked at.
     *
     * @param  bool  $posts  from the posts of a bank
     * @return list<FeedOption>
     */
    private function feeds(Run $run, string $place, bool $posts): array
    {
        $feeds = $this->tables->feeds($run, $place, $this->aim, $posts);
        if ($this->all) {
            return array_values(array_filter($feeds, static fn(FeedOption $f): bool => !$f->spot()));
        }
        if ($this->fits !== null) {
            $feeds = array_values(array_filter($feeds, $this->fits));
        }
        if ($this->holds === null) {
            return $this->narrow($feeds, 2);
        }
        $kept = $told = [];
        foreach ($feeds as $feed) {
            $holds = ($this->holds)($feed);
            if ($holds || (!$feed->spot() && !isset($told[$feed->pattern]) && count($told) < self::REASONS)) {
                $kept[] = $feed;
            }
            if (!$feed->spot()) {
                $told[$feed->pattern] = true;
            }
        }

        return $kept;
    }

    /**
     * @template T
     *
     * @param  list<T>  $list
     * @return list<T>
     */
    private function narrow(array $list, int $kind): array
    {
        if ($this->fits === null) {
            return $list;
        }

        return array_slice($list, 0, self::NARROW[$kind]);
    }

    /**
     * Pinned units keep their position.
     *
     * @param  non-empty-list<Run>  $runs
     * @return list<string>
     */
    private function places(array $runs, bool $supply): array
    {
        foreach ($runs as $run) {
            if (in_array('kit', $run->pins, true)) {
                return [Routes::NOW . $run->id];
            }
        }

        return $this->tables->places($runs, $supply);
    }
}
