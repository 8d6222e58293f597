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
    /** Supplies, controllers and ways of feeding that are looked at where only some are worth a look: the least dear. */
    private const NARROW = [2, 2, 16];

    /** @var SplPriorityQueue<int, Candidate> by rank */
    private SplPriorityQueue $queue;

    /** @param  non-empty-list<Run>  $runs */
    private function __construct(
        private readonly Tables $tables,
        array $runs,
        private readonly Aim $aim,
        private readonly bool $all,
        private readonly ?Closure $fits = null,
        private readonly ?Closure $spots = null,
    ) {
        $this->queue = new SplPriorityQueue();
        foreach ((new Sharing($tables))->blocks($runs) as $blocks) {
            $this->spread($runs, $blocks);
        }
    }

    /**
     * @param  non-empty-list<Run>  $runs
     * @param  (Closure(FeedOption): bool)|null  $fits  ways of feeding that are worth a look
     * @param  (Closure(FeedOption): bool)|null  $spots  feeds at places along a run that are looked at; patterns always are: they tell why
     * @return iterable<int, Layout>
     */
    public static function for(
        Tables $tables,
        array $runs,
        Aim $aim,
        bool $all = false,
        ?Closure $fits = null,
        ?Closure $spots = null,
    ): iterable {
        return (new self(tables: $tables, runs: $runs, aim: $aim, all: $all, fits: $fits, spots: $spots))->inOrder();
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

    /** @return iterable<int, Layout> */
    private function inOrder(): iterable
    {
        $ready = [];
        $before = 0;
        while (($next = $this->pop()) !== null) {
            [$rank, $space, $at, $layout] = [$next->rank, $next->space, $next->at, $next->layout];
            if ($ready !== [] && $rank > $before) {
                yield from self::sorted($ready);
                $ready = [];
            }
            $before = $rank;
            if ($layout !== null) {
                $ready[] = $layout;

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
        yield from self::sorted($ready);
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
        $ranks = [array_map(fn(PowerSource $s): int => $this->aim->rank($s->total(), $s->joined(), 0), $sources)];
        $joints = $tapped ? RunBlock::TRUNK / 2 : RunBlock::TRUNK;
        $lists = [];
        foreach ($blocks as $n => $block) {
            $controllers = $trunks = [];
            if ($this->tables->strip($block[0])->switched()) {
                $metres = $this->tables->routes->trunk($place, $places[$n]);
                $controllers = $this->narrow($this->tables->controllers($block, $this->all), 1);
                $trunks = array_values(array_filter($this->tables->trunks($block)));
                usort(
                    $trunks,
                    fn(KitSnapshot $a, KitSnapshot $b): int => [
                        $this->tables->costs->cable($a, $metres),
                        $a->entry->id(),
                    ] <=> [$this->tables->costs->cable($b, $metres), $b->entry->id()],
                );
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
                $feeds = $this->tables->feeds($run, $places[$n], $this->aim, $tapped && $trunks === []);
                if ($this->spots !== null) {
                    $feeds = array_filter($feeds, fn(FeedOption $f): bool => !$f->spot() || ($this->spots)($f));
                }
                $ways[] = $feeds = $this->narrow(
                    array_values($this->fits === null ? $feeds : array_filter($feeds, $this->fits)),
                    2,
                );
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
        $first = $space->first();
        if ($first !== null) {
            $this->push(rank: $space->rank($first), space: $space, at: $first, last: 0, layout: null);
        }
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
