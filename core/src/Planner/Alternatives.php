<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

/** Alternatives to the result: the most even feeding, the fewest joints, the fewest hidden boxes; cost breaks ties. */
final readonly class Alternatives
{
    /** Layouts that are solved to find one with few joints or boxes for one set of runs. */
    private const MOST = 60;

    /** Times that the darkest run of a layout is fed better, and ways to feed it that are solved each time. */
    private const ROUNDS = 3;

    private const WAYS = 12;

    public function __construct(private Group $group) {}

    /**
     * @param  list<Group>  $groups
     * @return array<string, list<LayoutTrial>>
     */
    public static function from(array $groups): array
    {
        $all = [];
        try {
            foreach ([Aim::Joints, Aim::Boxes] as $aim) {
                foreach ($groups as $group) {
                    $all[$aim->value] = [...$all[$aim->value] ?? [], ...(new self($group))->aimed($aim)];
                }
            }
            foreach ($groups as $group) {
                $all['most even'] = [
                    ...$all['most even'] ?? [],
                    ...array_map(static fn(LayoutTrial $t): LayoutTrial => (new self($group))->even($t), $group->parts),
                ];
            }
        } catch (SearchStopped) {
            return $all;
        }

        return $all;
    }

    /** @return list<LayoutTrial> */
    private function aimed(Aim $aim): array
    {
        if (!$this->group->few() || !$this->group->complete()) {
            return $this->group->parts;
        }
        $other = new Group($this->group->search, $this->group->runs, $aim, self::MOST);
        $other->solve();
        if (
            $other->complete() &&
            $other->rank() < array_sum(array_map(static fn(LayoutTrial $t): int => $t->rank($aim), $this->group->parts))
        ) {
            return $other->parts;
        }

        return $this->group->parts;
    }

    /**
     * The darkest run is fed better with the same units, as long as that helps: every pattern with its thickest tail.
     *
     * @throws SearchStopped
     */
    private function even(LayoutTrial $found): LayoutTrial
    {
        $best = $found;
        for ($round = 0; $round < ($this->group->few() ? self::ROUNDS : 1); $round++) {
            $before = $best;
            foreach ($this->better($best) as $layout) {
                $runs = array_map(fn(string $id) => $this->group->search->tables->plan->run($id), $layout->runs());
                $tried = $this->group->search->try($layout, $runs);
                if (
                    $tried->judged->holds() &&
                    [-round($tried->judged->evenness, 4), $tried->cost, $tried->key] < [
                        -round($best->judged->evenness, 4),
                        $best->cost,
                        $best->key,
                    ]
                ) {
                    $best = $tried;
                }
            }
            if ($best === $before) {
                break;
            }
        }

        return $best;
    }

    /** @return list<Layout> */
    private function better(LayoutTrial $tried): array
    {
        $tables = $this->group->search->tables;
        $layouts = [];
        foreach ($tried->layout->blocks as $n => $block) {
            foreach ($block->feeds as $k => $feed) {
                if ($feed->run !== $tried->judged->darkest) {
                    continue;
                }
                $thickest = [];
                foreach ($tables->feeds($tables->plan->run($feed->run), $block->place, Aim::Cost) as $option) {
                    if ($option->capacity >= ($thickest[$option->pattern]->capacity ?? 0.0)) {
                        $thickest[$option->pattern] = $option;
                    }
                }
                foreach (array_slice($thickest, 0, self::WAYS) as $option) {
                    $layouts[] = new Layout(
                        $tried->layout->source,
                        $tried->layout->place,
                        array_values(
                            array_replace($tried->layout->blocks, [
                                $n => new RunBlock(
                                    $block->controller,
                                    $block->place,
                                    $block->trunk,
                                    array_values(array_replace($block->feeds, [$k => $option])),
                                ),
                            ]),
                        ),
                    );
                }
            }
        }

        return $layouts;
    }
}
