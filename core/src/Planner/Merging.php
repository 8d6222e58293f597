<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Kit\Cable;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Plan\Run;

/** Puts two layouts on one supply: each run keeps its pattern and its tail, controllers stay or become one, trunks stay or grow. */
final class Merging
{
    /** Layouts that are solved to see whether two are better joined. */
    private const MOST = 6;

    /** @var array<string, list<Layout>> cheaper than apart, the cheapest first, by both keys */
    private array $ways = [];

    /** @var array<string, true> */
    private array $refused = [];

    public function __construct(private readonly Search $search, private readonly Aim $aim) {}

    /**
     * The pair that could save most.
     *
     * @param  list<LayoutTrial>  $parts
     * @return array{int, int}|null null when none could save anything
     */
    public function most(array $parts): ?array
    {
        $most = 0;
        $pick = null;
        foreach ($parts as $a => $one) {
            foreach ($parts as $b => $two) {
                if ($b <= $a || isset($this->refused["{$one->key} {$two->key}"])) {
                    continue;
                }
                $ways = $this->ways["{$one->key} {$two->key}"] ??= $this->ways($one, $two);
                $saves = $ways !== [] ? $one->rank($this->aim) + $two->rank($this->aim) - $this->rank($ways[0]) : 0;
                if ($saves > $most) {
                    [$most, $pick] = [$saves, [$a, $b]];
                }
            }
        }

        return $pick;
    }

    /** @throws SearchStopped */
    public function join(LayoutTrial $one, LayoutTrial $two): ?LayoutTrial
    {
        foreach (array_slice($this->ways["{$one->key} {$two->key}"] ?? [], 0, self::MOST) as $layout) {
            $tried = $this->search->try(
                $layout,
                array_map(fn(string $id): Run => $this->search->tables->plan->run($id), $layout->runs()),
            );
            if ($tried->judged->holds()) {
                return $tried;
            }
        }
        $this->refused["{$one->key} {$two->key}"] = true;

        return null;
    }

    /** @return list<Layout> that cost less than apart */
    private function ways(LayoutTrial $one, LayoutTrial $two): array
    {
        $tables = $this->search->tables;
        $runs = $this->runs([...$one->layout->runs(), ...$two->layout->runs()]);
        $apart = $one->rank($this->aim) + $two->rank($this->aim);
        if ($tables->strip($runs[0])->volts !== $tables->strip($runs[count($runs) - 1])->volts) {
            return [];
        }
        $blocks = [...$one->layout->blocks, ...$two->layout->blocks];
        usort($blocks, static fn(RunBlock $a, RunBlock $b): int => strnatcmp($a->feeds[0]->run, $b->feeds[0]->run));
        $ways = [];
        foreach (array_unique([$one->layout->place, $two->layout->place]) as $place) {
            $source = $tables->sources->at($runs, $place, false)[0] ?? null;
            if ($source === null) {
                continue;
            }
            foreach ([$blocks, ...$this->merged($blocks)] as $set) {
                foreach ([0, 1, 2] as $thicker) {
                    $ways[] = new Layout(
                        $source,
                        $place,
                        array_map(fn(RunBlock $b): RunBlock => $this->thicker($b, $thicker, $place), $set),
                    );
                }
            }
        }
        $ways = array_values(array_filter($ways, fn(Layout $l): bool => $this->rank($l) < $apart));
        usort($ways, fn(Layout $a, Layout $b): int => [$this->rank($a), $a->key()] <=> [$this->rank($b), $b->key()]);

        return $ways;
    }

    private function rank(Layout $layout): int
    {
        return $this->aim->rank(
            $layout->cost($this->search->tables),
            $layout->joints($this->search->tables),
            $layout->boxes(),
        );
    }

    /**
     * All blocks under one controller at one of their places, where one carries them.
     *
     * @param  list<RunBlock>  $blocks
     * @return list<list<RunBlock>>
     */
    private function merged(array $blocks): array
    {
        $tables = $this->search->tables;
        $runs = $this->runs(
            array_merge(
                ...array_map(
                    static fn(RunBlock $b): array => array_map(static fn(FeedOption $f): string => $f->run, $b->feeds),
                    $blocks,
                ),
            ),
        );
        $controller = (new Sharing($tables))->together($runs) ? $tables->controllers($runs, false)[0] ?? null : null;
        if ($controller === null) {
            return [];
        }
        $ways = [];
        foreach (array_unique(array_map(static fn(RunBlock $b): string => $b->place, $blocks)) as $place) {
            $feeds = [];
            foreach ($blocks as $block) {
                foreach ($block->feeds as $feed) {
                    $other = $tables->elsewhere($feed, $place, $this->aim);
                    if ($other !== null) {
                        $feeds += [$feed->run => $other];
                    }
                }
            }
            if (count($feeds) === count($runs)) {
                uksort($feeds, strnatcmp(...));
                $ways[] = [new RunBlock($controller, $place, $blocks[0]->trunk, array_values($feeds))];
            }
        }

        return $ways;
    }

    /** With a trunk so many sizes thicker; pixels have none and move to the supply. */
    private function thicker(RunBlock $block, int $sizes, string $supply): RunBlock
    {
        $tables = $this->search->tables;
        if ($block->trunk === null) {
            $feeds = array_values(
                array_filter(
                    array_map(
                        fn(FeedOption $f): ?FeedOption => $tables->elsewhere($f, $supply, $this->aim),
                        $block->feeds,
                    ),
                ),
            );
            if ($feeds === []) {
                return $block;
            }

            return new RunBlock(null, $supply, null, $feeds);
        }
        $trunks = array_values(array_filter($tables->trunks([$tables->plan->run($block->feeds[0]->run)])));
        usort($trunks, static fn(KitSnapshot $a, KitSnapshot $b): int => self::ohms($b) <=> self::ohms($a));
        $at = array_search(
            $block->trunk->entry->id(),
            array_map(static fn(KitSnapshot $f): string => $f->entry->id(), $trunks),
            true,
        );

        return new RunBlock(
            $block->controller,
            $block->place,
            $trunks[min(count($trunks) - 1, (int) $at + $sizes)] ?? $block->trunk,
            $block->feeds,
        );
    }

    /**
     * @param  list<string>  $ids
     * @return non-empty-list<Run>
     */
    private function runs(array $ids): array
    {
        sort($ids, SORT_NATURAL);
        $runs = array_map(fn(string $id): Run => $this->search->tables->plan->run($id), $ids);
        if ($runs === []) {
            throw new \LogicException('A layout has runs.');
        }

        return $runs;
    }

    private static function ohms(KitSnapshot $cable): float
    {
        if ($cable->entry instanceof Cable) {
            return $cable->entry->conductor->ohmsPerMetre;
        }

        return 0.0;
    }
}
