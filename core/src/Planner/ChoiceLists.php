<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

/** Lists of choices once sharing and positions are fixed; a point is one number per list. */
final readonly class ChoiceLists
{
    /**
     * @param  list<string>  $places  of the blocks' controllers
     * @param  list<PowerSource>  $sources
     * @param  list<BlockChoices>  $blocks
     * @param  list<list<int>>  $ranks  of every list, in the order source, then by block controller, trunk, runs
     * @param  int  $base rank of the places
     */
    public function __construct(
        private string $place,
        private array $places,
        private array $sources,
        private array $blocks,
        private array $ranks,
        private int $base,
    ) {}

    /** @return list<int>|null the first of each list; null where a list is empty */
    public function first(): ?array
    {
        if (in_array([], $this->ranks, true)) {
            return null;
        }

        return array_fill(0, count($this->ranks), 0);
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
