<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Planner;

use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Plan\Run;
use EmberDusk\Planner\Aim;
use EmberDusk\Planner\FeedOption;
use EmberDusk\Planner\Layout;
use EmberDusk\Planner\LayoutTrial;
use EmberDusk\Planner\RunBlock;
use EmberDusk\Planner\Search;
use EmberDusk\Planner\Sharing;
use EmberDusk\Values\Dice;

/** A search that knows only the price and the judge: a random change to a random part, kept where it costs less and holds. */
final class RandomSearch
{
    private readonly Dice $dice;

    private int $drawn = 0;

    public function __construct(private readonly Search $search, int $seed)
    {
        $this->dice = new Dice($seed);
    }

    /**
     * @param  non-empty-list<LayoutTrial>  $parts
     * @param  float  $seconds  for which it tries
     * @return array{int, int} the cost at the end, and how often it tried
     */
    public function improved(array $parts, float $seconds): array
    {
        $until = microtime(true) + $seconds;
        for ($tries = 0; microtime(true) < $until; $tries++) {
            $n = $this->below(count($parts));
            $layout = $this->changed($parts[$n]->layout);
            if ($layout === null || $layout->cost($this->search->tables) >= $parts[$n]->cost) {
                continue;
            }
            $tried = $this->search->try($layout, array_map($this->run(...), $layout->runs()));
            if ($tried->judged->holds() && $tried->cost < $parts[$n]->cost) {
                $parts[$n] = $tried;
            }
        }

        return [array_sum(array_map(static fn(LayoutTrial $t): int => $t->cost, $parts)), $tries];
    }

    private function below(int $count): int
    {
        return min($count - 1, (int) $this->dice->between(0, $count, 'draw ' . $this->drawn++));
    }

    private function run(string $id): Run
    {
        return $this->search->tables->plan->run($id);
    }

    /**
     * @template T
     *
     * @param  array<array-key, T>  $list
     * @return T|null
     */
    private function any(array $list): mixed
    {
        return $list === [] ? null : array_values($list)[$this->below(count($list))];
    }

    /** @return list<Run> */
    private function runs(FeedOption ...$feeds): array
    {
        return array_values(array_map(fn(FeedOption $f): Run => $this->run($f->run), $feeds));
    }

    private function changed(Layout $layout): ?Layout
    {
        $tables = $this->search->tables;
        $runs = array_map($this->run(...), $layout->runs());
        $n = $this->below(count($layout->blocks));
        $block = $layout->blocks[$n];
        $blocks = $layout->blocks;
        switch ($this->below(6)) {
            case 0:
                $source = $runs === [] ? null : $this->any($tables->sources->at($runs, $layout->place, false));

                return $source === null ? null : new Layout($source, $layout->place, $blocks);
            case 1:
                $trunk = $this->any(array_filter($tables->trunks([$this->run($block->feeds[0]->run)])));
                $blocks[$n] =
                    $block->trunk === null
                        ? null
                        : self::block($block->controller, $block->place, $trunk, $block->feeds);
                break;
            case 2:
                $m = $this->below(count($block->feeds));
                $feed = $this->any($tables->feeds($this->run($block->feeds[$m]->run), $block->place, Aim::Cost));
                $feeds = $feed === null ? [] : array_values(array_replace($block->feeds, [$m => $feed]));
                $blocks[$n] = self::block($block->controller, $block->place, $block->trunk, $feeds);
                break;
            case 3:
                $place = (string) $this->any($tables->routes->places($this->runs(...$block->feeds) ?: $runs, false));
                $blocks[$n] = self::block(
                    $block->controller,
                    $place,
                    $block->trunk,
                    $this->moved($block->feeds, $place),
                );
                break;
            case 4:
                $m = $this->below(count($blocks));
                if ($m === $n) {
                    return null;
                }
                $both = $this->moved([...$block->feeds, ...$blocks[$m]->feeds], $block->place);
                $blocks[$n] = $this->under($both, $block);
                unset($blocks[$m]);
                break;
            default:
                $one = $this->any($block->feeds);
                $rest = array_values(array_filter($block->feeds, static fn(FeedOption $f): bool => $f !== $one));
                $blocks[$n] = $this->under($rest, $block);
                $blocks[] = $this->under($one === null ? [] : [$one], $block);
        }
        if (in_array(null, $blocks, true) || $blocks === []) {
            return null;
        }
        $blocks = array_values($blocks);
        usort($blocks, static fn(RunBlock $a, RunBlock $b): int => strnatcmp($a->feeds[0]->run, $b->feeds[0]->run));

        return new Layout($layout->source, $layout->place, $blocks);
    }

    /** @param  list<FeedOption>  $feeds */
    private static function block(?KitSnapshot $controller, string $place, ?KitSnapshot $trunk, array $feeds): ?RunBlock
    {
        usort($feeds, static fn(FeedOption $a, FeedOption $b): int => strnatcmp($a->run, $b->run));

        return $feeds === [] ? null : new RunBlock($controller, $place, $trunk, $feeds);
    }

    /**
     * The cheapest controller for these runs in place of another block's; null where they are not alike.
     *
     * @param  list<FeedOption>  $feeds
     */
    private function under(array $feeds, RunBlock $block): ?RunBlock
    {
        $runs = $this->runs(...$feeds);
        if ($runs === [] || !(new Sharing($this->search->tables))->together($runs)) {
            return null;
        }
        $controller = $this->search->tables->controllers($runs, false)[0] ?? null;

        return $controller === null ? null : self::block($controller, $block->place, $block->trunk, $feeds);
    }

    /**
     * @param  list<FeedOption>  $feeds
     * @return list<FeedOption> the same from another place; none where one cannot be
     */
    private function moved(array $feeds, string $place): array
    {
        $moved = array_map(
            fn(FeedOption $f): ?FeedOption => $this->search->tables->elsewhere($f, $place, Aim::Cost),
            $feeds,
        );

        return in_array(null, $moved, true) ? [] : $moved;
    }
}
