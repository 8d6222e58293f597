<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Kit\KitSnapshot;

/** Lists of choices once sharing and positions are fixed; a point is one number per list. */
final readonly class ChoiceLists
{
    /** @var list<list<PowerSource|KitSnapshot|FeedOption>> the choices, in the order source, then by block controller, trunk, runs */
    public array $lists;

    /**
     * @param  list<string>  $places  of the blocks' controllers
     * @param  list<PowerSource>  $sources
     * @param  list<BlockChoices>  $blocks
     * @param  list<list<int>>  $ranks  of every choice
     * @param  int  $base rank of the places
     */
    public function __construct(
        private string $place,
        private array $places,
        private array $sources,
        private array $blocks,
        private array $ranks,
        private int $base,
    ) {
        $lists = [$sources];
        foreach ($blocks as $block) {
            $lists = [
                ...$lists,
                ...$block->controllers === [] ? [] : [$block->controllers, $block->trunks],
                ...$block->feeds,
            ];
        }
        $this->lists = $lists;
    }

    /** How many layouts there are. */
    public function count(): int|float
    {
        return array_product(array_map(count(...), $this->ranks));
    }

    /** @return list<int> the first of each list */
    public function first(): array
    {
        return array_fill(0, count($this->ranks), 0);
    }

    /** @return list<int> the last of each list, the dearest */
    public function last(): array
    {
        return array_map(static fn(array $list): int => count($list) - 1, $this->ranks);
    }

    /** @return list<int> the choices of a layout where the lists have them, else the first */
    public function nearest(Layout $layout): array
    {
        $made = [self::name($layout->source) => true];
        foreach ($layout->blocks as $block) {
            foreach ([$block->controller, $block->trunk, ...$block->feeds] as $choice) {
                $made[$choice === null ? '' : self::name($choice)] = true;
            }
        }

        return array_map(static function (array $list) use ($made): int {
            foreach ($list as $n => $choice) {
                if (isset($made[self::name($choice)])) {
                    return $n;
                }
            }

            return 0;
        }, $this->lists);
    }

    private static function name(PowerSource|KitSnapshot|FeedOption $choice): string
    {
        return match (true) {
            $choice instanceof FeedOption => "{$choice->run}/" . implode('/', $choice->decision()),
            $choice instanceof PowerSource => $choice->decision(),
            default => $choice->entry->id(),
        };
    }

    /** @return iterable<int, list<int>> every point */
    public function points(): iterable
    {
        $sizes = array_map(count(...), $this->ranks);
        for ($number = 0, $count = $this->count(); $number < $count; $number++) {
            $rest = $number;
            $at = [];
            foreach ($sizes as $size) {
                $at[] = $rest % $size;
                $rest = intdiv($rest, $size);
            }
            yield $at;
        }
    }

    /**
     * @param  list<int>  $at
     * @return list<int>|null the next in one list
     */
    public function next(array $at, int $list): ?array
    {
        if (isset($this->ranks[$list][$at[$list] + 1])) {
            return [...array_slice($at, 0, $list), $at[$list] + 1, ...array_slice($at, $list + 1)];
        }

        return null;
    }

    /**
     * Without what fuses cost, which depends on all cables of a block together.
     *
     * @param  list<int>  $at
     */
    public function rank(array $at): int
    {
        $rank = $this->base;
        foreach ($at as $list => $n) {
            $rank += $this->ranks[$list][$n];
        }

        return $rank;
    }

    /** @param  list<int>  $at */
    public function layout(array $at): Layout
    {
        $list = 1;
        $made = [];
        foreach ($this->blocks as $n => $block) {
            $controller = $trunk = null;
            if ($block->controllers !== []) {
                [$controller, $trunk] = [$block->controllers[$at[$list]], $block->trunks[$at[$list + 1]]];
                $list += 2;
            }
            $feeds = [];
            foreach ($block->feeds as $options) {
                $feeds[] = $options[$at[$list]];
                $list++;
            }
            $made[] = new RunBlock($controller, $this->places[$n], $trunk, $feeds);
        }

        return new Layout($this->sources[$at[0]], $this->place, $made);
    }
}
