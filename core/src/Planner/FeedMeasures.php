<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Checks\Light\Seam;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/** Comparison of ways of feeding: runs that are alike, and the length that decides how uneven they are. */
final class FeedMeasures
{
    /** @var array<string, string> by run */
    private array $kinds = [];

    public function __construct(private readonly Plan $plan) {}

    /** @return array{string, float} what a way of feeding is compared with, and its longest arm; of a cut run or one with gaps all metres */
    public function of(Run $run, FeedOption $option): array
    {
        $of = $this->plan->of($run);
        if (
            count($run->sections) > 1 ||
            $option->halves() ||
            $option->leg !== null ||
            $option->pattern === Feeding::NOW ||
            Seam::applies($this->plan, $run)
        ) {
            return [$this->kind($run) . "/{$option->pattern}", $of->litLength()];
        }

        return [$this->kind($run), Feeding::arm($of->marks(), $option->pads)];
    }

    /** Runs that are alike but for their length; one with gaps, scenes of its own or pinned feeds is like no other. */
    public function kind(Run $run): string
    {
        return $this->kinds[$run->id] ??= $this->alike($run);
    }

    private function alike(Run $run): string
    {
        $plan = $this->plan;
        $lone =
            count($run->sections) > 1 || $run->parts > 1 || $plan->scenes !== [] || in_array('feeds', $run->pins, true);

        return implode('|', [
            $run->strip,
            $run->cap,
            $lone ? $run->id : '',
            Seam::applies($plan, $run) ? $run->id : '',
            $run->controller === null ? '' : $plan->controller($run->controller)?->id(),
        ]);
    }
}
