<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Checks\PlannerLimit;
use EmberDusk\Plan\Run;

/** Layouts of sets of runs on one supply: the cheapest of a tightening bound are solved until one holds. */
final class SetTrials
{
    /** Factor on the volts lost, and share of their full load that runs take, of the layouts that are tried; the first for the bound. */
    private const TRIED = [
        [1.0, null],
        [1.0, 0.86],
        [1.0, 0.9],
        [1.02, 0.92],
        [1.05, 0.95],
        [1.1, 0.97],
        [1.2, 1.0],
        [1.5, 1.0],
    ];

    /** Number of the level at which most layouts hold. */
    public const LIKELY = 2;

    /** Limits that a way of feeding breaks by its arms of strip. */
    private const OF_ARMS = [PlannerLimit::Evenness, PlannerLimit::Rail];

    /** @var array<int, SharedFloor> by level */
    private array $floors = [];

    /** @param  non-empty-list<Run>  $runs */
    public function __construct(private readonly Search $search, private readonly array $runs) {}

    /** The first layout of a set that holds, the least tight first; null where none does. */
    public function onOneSupply(int $set): ?LayoutTrial
    {
        foreach (array_keys(self::TRIED) as $level) {
            do {
                $floor = $this->refined($level, $set);
                $layout = $floor->floor($set)[1] ?? null;
                $tried = $layout === null ? null : $this->search->try($layout, $floor->runs($set));
                if ($tried?->judged->holds() === true) {
                    return $tried;
                }
            } while ($level > 0 && $tried !== null && $this->doubted($floor, $tried));
        }

        return null;
    }

    /** Whether a trial adds doubts: ways of feeding that are too much for their strip in a layout. Other layouts are likelier without them. */
    private function doubted(SharedFloor $floor, LayoutTrial $tried): bool
    {
        $new = [];
        foreach ($tried->judged->broken as $broken) {
            foreach (in_array($broken->limit, self::OF_ARMS, true) ? $tried->layout->blocks : [] as $block) {
                foreach ($block->feeds as $feed) {
                    if ($feed->run === $broken->at && $floor->doubt($tried->layout, $block, $feed)) {
                        $new[] = $feed->run;
                    }
                }
            }
        }

        foreach ($new === [] ? [] : $this->floors as $known) {
            $known->forget($new);
        }

        return $new !== [];
    }

    /** Bounds at a level, whose layouts, of a set or of the least sum, are of ways of feeding that were solved with their own cables. */
    public function refined(int $level, ?int $set = null): SharedFloor
    {
        do {
            $floor = $this->floors[$level] ??= new SharedFloor($this->search, $this->runs, ...self::TRIED[$level]);
            $new = [];
            foreach ($set === null ? $floor->least([])[1] ?? [] : [$set] as $one) {
                $layout = $floor->floor($one)[1] ?? null;
                foreach ($layout->blocks ?? [] as $block) {
                    array_push($new, ...array_filter($block->feeds, $this->search->proof->refine(...)));
                    if ($level === 0 && $layout !== null) {
                        array_push($new, ...$floor->behind($layout, $block));
                    }
                }
            }
            foreach ($new === [] ? [] : $this->floors as $known) {
                $known->worse($new);
            }
        } while ($new !== []);

        return $floor;
    }
}
