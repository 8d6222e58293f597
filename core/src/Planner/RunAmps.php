<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Plan\Run;

/** Amps of runs: at least, at the lowest volts that their feeds can have, where they draw least; and at most. */
final class RunAmps
{
    /** Placeholder for an unknown maximum, larger than any real current. */
    private const UNKNOWN = 1e9;

    /** @var array<string, float> by run */
    private array $least = [];

    /** @var array<string, float> by run */
    private array $nominal = [];

    public function __construct(
        private readonly FeedSolver $solver,
        private readonly UnevenFeeds $uneven,
        private readonly FeedMeasures $measures,
        private readonly FeedKinds $known,
    ) {}

    /** Amps that a run takes at least, in any way of feeding that is not proven to fail. */
    public function least(Run $run): float
    {
        return $this->least[$run->id] ??= $this->lowest($run);
    }

    /** Amps at its strip's own volts, with nothing lost. */
    public function nominal(Run $run): float
    {
        return $this->nominal[$run->id] ??= $this->labelled($run);
    }

    private function labelled(Run $run): float
    {
        $strip = $this->solver->tables->strip($run);

        return ($strip->wattsPerMetre() * $this->solver->tables->plan->of($run)->litLength() * $run->cap) /
            $strip->volts;
    }

    /** Amps that a run takes at most: not known where a source may have more than the volts of its strip. */
    public function most(Run $run): float
    {
        return $this->solver->tables->sources->most($this->solver->volts($run)) > 1.0
            ? self::UNKNOWN
            : $this->nominal($run);
    }

    /** Amps of a run in a way of feeding at least: of the longest run of its kind, by the metre. Of a leg nothing is known. */
    public function draws(Run $run, FeedOption $option): float
    {
        if ($option->leg !== null) {
            return 0.0;
        }
        if (!FeedSolver::counts($option)) {
            return $this->least($run);
        }
        $metres = $this->solver->tables->plan->of($run)->litLength();
        $key = $this->measures->kind($run) . "/{$option->pattern}";
        if (($this->known->draws[$key][1] ?? 0.0) < $metres) {
            $amps = $this->at($run, $this->solver->ideal($option));
            $this->known->draws[$key] = [$amps / max(0.01, $metres), $metres];
        }

        return $this->known->draws[$key][0] * $metres;
    }

    private function lowest(Run $run): float
    {
        $tables = $this->solver->tables;
        $draws = [];
        foreach ($tables->feeds($run, $tables->places([$run], false)[0] ?? '', Aim::Cost) as $option) {
            if (
                FeedSolver::counts($option) &&
                !isset($draws[$option->pattern]) &&
                !$this->uneven->fails($run, $option)
            ) {
                $draws[$option->pattern] = $this->draws($run, $option);
            }
            $any = $option;
        }
        $longest = isset($any) ? $this->longest($run, $any) : null;
        if ($longest !== null) {
            $draws[$longest->pattern] = $this->at($run, $longest);
        }

        return $draws === [] ? 0.0 : min($draws);
    }

    /** Of one or two feeds at places along a run those with the longest arms that are not proven to fail: they draw least. */
    private function longest(Run $run, FeedOption $like): ?FeedOption
    {
        $marks = $this->solver->tables->plan->of($run)->marks();
        $place = static fn(int $k): int => $marks->nearest(($marks->length() * $k) / Feeding::STEPS);
        $ways = [];
        for ($k = 1; $k < Feeding::STEPS / 2; $k++) {
            $ways[Feeding::SPOT . $k] = [$place($k)];
        }
        for ($k = 1; $k < Feeding::STEPS / 4; $k++) {
            $ways[Feeding::SPOT . $k . '+' . (Feeding::STEPS - $k)] = [$place($k), $place(Feeding::STEPS - $k)];
        }
        foreach (count($run->sections) > 1 || $run->pins !== [] ? [] : $ways as $name => $pads) {
            $option = $this->solver->ideal($like, $name, $pads);
            if (!$this->uneven->fails($run, $option)) {
                return $option;
            }
        }

        return null;
    }

    private function at(Run $run, FeedOption $option): float
    {
        $lowest = FeedBound::lowest($this->solver->tables, $this->solver->volts($run));

        return $this->solver->at($run, $option, $lowest)->amps ?? 0.0;
    }
}
