<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Wires;

use EmberDusk\Plan\Feed;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\CableWay;
use EmberDusk\Plan\Run;

/** The cables from a controller, or from a supply of pixels, to the feeds: how long one must be calculated, and which kind it is at first. */
final readonly class Tails
{
    /** Default metres of the first tail until measured. */
    public const FIRST = 1.0;

    /** Run ends that are within so many metres are one place to a cable (the seam's distance, docs/model.md 6). */
    private const NEAR = 1.0;

    public function __construct(private Plan $plan, private Run $run) {}

    /**
     * Metres of cable to a pad: the shortest way along the run from a feed that has a cable, by that cable's route.
     * In a loop whose ends meet the way leads across the seam as well.
     */
    public function reckon(int $pad): float
    {
        $marks = $this->plan->of($this->run)->cutMarks();
        $best = INF;
        $apart = $this->plan->of($this->run)->endsApart();
        foreach ($this->plan->ways()->feedsOf($this->run) as $feed) {
            $cable = $this->plan->ways()->cableTo($feed->id);
            if ($cable === null || $marks === null) {
                continue;
            }
            $along = abs($marks->position($pad) - $marks->position($feed->pad));
            if ($apart !== null && $apart <= self::NEAR) {
                $along = min($along, $this->run->length() - $along + $apart);
            }
            $best = min($best, $cable->length + $along);
        }
        if ($best === INF) {
            return self::FIRST;
        }

        return round(min(1000.0, $best), 2);
    }

    /** The plan with a tail to a feed, of the kind that the run's other tails have; none when they have none. */
    public function lay(Feed $feed): Plan
    {
        return $this->led(feed: $feed, kit: $this->kit(), length: $this->reckon($feed->pad));
    }

    /** The kind of cable that leads to the feeds of a run; null where none does. */
    public function kit(): ?string
    {
        foreach ($this->plan->ways()->feedsOf($this->run) as $other) {
            $cable = $this->plan->ways()->cableTo($other->id);
            if ($cable !== null) {
                return $cable->kit;
            }
        }

        return null;
    }

    /** The plan with a feed and its tail, from where the run's tails begin or from a unit that is named. */
    public function led(Feed $feed, ?string $kit, float $length, ?string $from = null): Plan
    {
        $plan = $this->plan;
        $plan = $plan->with(feeds: [$feed->id => $feed] + $plan->feeds);
        $from ??= $plan->ways()->origin($this->run);
        if ($kit === null || $from === null) {
            return $plan;
        }
        $id = Plan::nextId('k', $plan->cables);

        $plan = $plan->with(
            cables: [
                $id => new LaidCable(id: $id, kit: $kit, from: $from, to: $feed->id, length: $length, reckoned: true),
            ] + $plan->cables,
        );

        return CableWay::reckoned($plan, static fn(LaidCable $c): bool => $c->id === $id);
    }
}
