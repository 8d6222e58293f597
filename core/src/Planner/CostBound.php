<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Kit\Controller;
use EmberDusk\Kit\Entry;
use EmberDusk\Plan\Run;

/**
 * Lower bound of the cost of any layout of some runs, with any sharing: the cheapest feeding of each run, and units by the watt at the best price,
 * as if sold in slices.
 */
final readonly class CostBound
{
    public function __construct(private Tables $tables) {}

    /** @param  non-empty-list<Run>  $runs */
    public function for(array $runs, Aim $aim): int
    {
        $rank = 0;
        $watts = 0.0;
        $switched = [];
        foreach ($runs as $run) {
            $metres = $this->tables->plan->of($run)->litLength();
            $strip = $this->tables->strip($run);
            $watts += $strip->wattsPerMetre() * $metres * $run->cap;
            if ($strip->switched()) {
                $switched[] = [$run, $strip->wattsPerMetre() * $metres];
            }
            $least = [];
            foreach ($this->tables->places($runs, false) as $place) {
                $option = $this->tables->feeds($run, $place, $aim)[0] ?? null;
                $least[] = $option === null ? PHP_INT_MAX : $aim->rank($option->cost, $option->joints, 0);
            }
            if ($least !== []) {
                $rank += min($least);
            }
        }
        $cost = 0.0;
        $each = [];
        $posts = 0;
        foreach ($this->tables->places($runs, true) as $place) {
            foreach ($this->tables->sources->at($runs, $place, true) as $source) {
                $share = $this->tables->plan->limits->rating($watts) / $source->supply->ratedWatts();
                $each[] = max($source->cost, $source->cost * $share);
                $posts = max($posts, $source->tapped() ? $this->posts($runs) : 0);
            }
        }
        if ($each !== []) {
            $cost += min($each);
        }
        $each = [];
        foreach ($switched as [$run]) {
            // Whatever shares with whom: by its watts alone, in slices, at the best price of any that one of them may have.
            foreach ($this->tables->controllers([$run], true) as $snapshot) {
                $controller = $snapshot->entry;
                $price = $this->tables->costs->unit($snapshot);
                $share =
                    array_sum(array_column($switched, 1)) /
                    self::carries($controller, $this->tables->strip($run)->volts);
                $each[] = max($price, $price * $share);
            }
        }
        if ($each !== []) {
            $cost += min($each);
        }

        return $rank -
            $aim->rank($this->tables->costs->terminals($posts), $posts, 0) +
            $aim->rank((int) floor($cost), 0, 1);
    }

    /**
     * Most cores of pixels that can begin at the posts of a bank, where no terminals are made.
     *
     * @param  list<Run>  $runs
     */
    private function posts(array $runs): int
    {
        $cores = 0;
        foreach ($runs as $run) {
            $cores += $this->tables->strip($run)->switched() ? 0 : Feeding::MOST * $this->tables->cores($run);
        }

        return $cores;
    }

    /** Watts that a controller carries at most. */
    private static function carries(Entry $controller, float $volts): float
    {
        if ($controller instanceof Controller) {
            return $controller->wattsAt($volts);
        }

        return INF;
    }
}
