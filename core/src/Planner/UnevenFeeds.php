<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Plan\Run;

/**
 * Ways of feeding that are too uneven, or too much for the rails of their strip, by solves: at any volts of their hub, or above some. A strip is as
 * uneven as the longest arm beside a feed: a proof counts for all longer arms on strip of that kind, a pass for all shorter ones.
 */
final class UnevenFeeds
{
    /** Share of a limit by which it must be missed with the cables of the plan. */
    private const MISSED = 5e-4;

    /** Halvings between volts at which a way of feeding fails and volts at which it does not. */
    private const HALVINGS = 4;

    /** @var array<string, bool> whether a way of feeding is too uneven at any volts */
    private array $fails = [];

    /** @var array<string, float> share of the strip's volts above which it is */
    private array $above = [];

    public function __construct(
        private readonly FeedSolver $solver,
        private readonly FeedMeasures $measures,
        private readonly FeedKinds $known,
    ) {}

    public function fails(Run $run, FeedOption $option): bool
    {
        return $this->fails[$option->key] ??= $this->proven($run, $option);
    }

    /** Share of the strip's volts that the hub may have at most; infinite where none is known. */
    public function most(FeedOption $option): float
    {
        return $this->above[$option->key] ?? INF;
    }

    /**
     * Solves a way of feeding with its own cables from the highest volts of its hub down, until it is even.
     *
     * @param  float  $lowest  share of the strip's volts that the hub has at least
     */
    public function refine(Run $run, FeedOption $option, float $lowest): void
    {
        $shares = FeedBound::shares($this->solver->tables, $this->solver->volts($run));
        $shares = [...array_filter($shares, static fn(float $s): bool => $s > $lowest + 1e-6), $lowest];
        $failing = null;
        foreach ($shares as $share) {
            if (!$this->misses($run, $option, $share)) {
                $passing = $share;
                break;
            }
            $failing = $share;
        }
        if (!isset($passing)) {
            $this->fails[$option->key] = true;
        } elseif ($failing !== null) {
            for ($n = 0; $n < self::HALVINGS; $n++) {
                $middle = ($failing + $passing) / 2;
                if ($this->misses($run, $option, $middle)) {
                    $failing = $middle;
                } else {
                    $passing = $middle;
                }
            }
            $this->above[$option->key] = $failing;
        }
    }

    private function misses(Run $run, FeedOption $option, float $share): bool
    {
        return ($this->solver->at($run, $option, $share)->excess ?? 0.0) > self::MISSED;
    }

    private function proven(Run $run, FeedOption $option): bool
    {
        if (!FeedSolver::counts($option) && !$option->spot()) {
            return false;
        }
        [$key, $metres] = $this->measures->of($run, $option);
        if ($metres >= ($this->known->fails[$key] ?? INF)) {
            return true;
        }
        if ($metres <= ($this->known->passes[$key] ?? 0.0)) {
            return false;
        }
        foreach (array_reverse(FeedBound::shares($this->solver->tables, $this->solver->volts($run))) as $share) {
            $now = $this->solver->at($run, $this->solver->ideal($option), $share);
            if ($now === null || $now->excess <= FeedBound::MARGIN) {
                $this->known->passes[$key] = $metres;

                return false;
            }
        }
        $this->known->fails[$key] = $metres;

        return true;
    }
}
