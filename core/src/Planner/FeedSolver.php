<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Kit\Cable;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Plan\Run;

/** Solves ways of feeding a run alone behind a hub of given volts, under the controller that loses least. */
final class FeedSolver
{
    /** Feeds up to which a way of feeding is solved. */
    private const SOLVED = 2;

    /** @var array<string, KitSnapshot|null> the best controller, by run */
    private array $best = [];

    public function __construct(public readonly Tables $tables, private readonly PlannerProgress $watch) {}

    /**
     * A way of feeding behind a hub of such a share of its strip's volts; null where it cannot be solved.
     *
     * @param  float  $trunk  ohms of a trunk behind it
     */
    public function at(Run $run, FeedOption $option, float $share, float $trunk = 0.0): ?JudgedFeeds
    {
        $this->watch->step($run->name());
        $this->best[$run->id] ??= $this->tables->strip($run)->switched()
            ? FeedBound::least($this->tables->controllers([$run], true))
            : null;

        return FeedBound::at($this->tables, $option, $this->best[$run->id], $share, $trunk);
    }

    /** Whether its amps are solved: many feeds are as good as never uneven, and not refused without a proof; of places along a run one counts. */
    public static function counts(FeedOption $option): bool
    {
        return (count($option->pads) <= self::SOLVED && !$option->spot()) || $option->pattern === Feeding::NOW;
    }

    /** Volts that may be lost to the farthest feed. */
    public function limit(Run $run): float
    {
        return $this->tables->plan->limits->drop * $this->volts($run);
    }

    /** Volts of its strip. */
    public function volts(Run $run): float
    {
        return $this->tables->strip($run)->volts;
    }

    /**
     * A way of feeding by the thickest cable, which loses next to nothing.
     *
     * @param  list<int>|null  $pads  of another pattern
     */
    public function ideal(FeedOption $option, ?string $pattern = null, ?array $pads = null): FeedOption
    {
        $thick = $option->tails[0];
        foreach ($this->tables->priced->cables($thick->entry instanceof Cable ? $thick->entry->cores : 2) as $cable) {
            if (FeedBound::ohms($cable) < FeedBound::ohms($thick)) {
                $thick = $cable;
            }
        }

        return $option->ideal($thick, $pattern ?? $option->pattern, $pads ?? $option->pads);
    }
}
