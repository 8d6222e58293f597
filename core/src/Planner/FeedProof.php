<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Kit\Cable;
use EmberDusk\Plan\Run;

/**
 * Proof, by solves, that ways of feeding fail in every layout: first with cables of almost no loss, then with the cables of the plan for those in the
 * bound. Real cables only lose more.
 */
final class FeedProof
{
    /** Solves that bring the volts at a hub nearer to what its cables leave. */
    private const NEARER = 2;

    /** Share of the volts by which another of them is worth it. */
    private const NEAR = 0.002;

    /** Volts by which a limit must be missed. */
    public const MISSED = 1e-3;

    private readonly FeedMeasures $measures;

    public readonly FeedSolver $solver;

    private readonly UnevenFeeds $uneven;

    public readonly RunAmps $amps;

    public readonly TrunkProof $trunks;

    /** @var array<string, list<FeedStep>> by run, place and amps */
    private array $stairs = [];

    /** @var array<string, FeedStep|null> ways of feeding that are not proven to fail; null: one that is */
    private array $steps = [];

    /**
     * Longest arm, volts lost and share of the hub's volts of feedings that were too uneven in a layout, by run and what they are compared with: not
     * proven to fail in every one.
     *
     * @var array<string, list<array{float, float, float}>>
     */
    private array $doubts = [];

    /** @var array<string, float> volts lost at least by ways of feeding that were solved with their own cables */
    private array $solved = [];

    /** @var array<string, float> volts lost at least in their own cables alone */
    private array $tails = [];

    /** @var array<string, float> the same without a solve, by the amps of their kind */
    private array $plain = [];

    /** @var array<string, float> amps that they take at least */
    private array $taken = [];

    public function __construct(private readonly Tables $tables, PlannerProgress $watch, FeedKinds $known)
    {
        $this->measures = new FeedMeasures($tables->plan);
        $this->solver = new FeedSolver($tables, $watch);
        $this->uneven = new UnevenFeeds($this->solver, $this->measures, $known);
        $this->amps = new RunAmps($this->solver, $this->uneven, $this->measures, $known);
        $this->trunks = new TrunkProof($this->solver);
    }

    /**
     * Feedings of a run from a place that are not proven to fail and whose cables carry so many amps: the cheapest first, each that costs more
     * loses less, before its trunk or in its own cables.
     *
     * @param  bool  $posts  from the posts of a bank, which need no terminals
     * @return list<FeedStep>
     */
    private function stairs(Run $run, string $place, float $capacity, bool $posts): array
    {
        $key = "{$run->id}/{$place}/{$capacity}" . ($posts ? '/posts' : '');
        if (!isset($this->stairs[$key])) {
            $this->stairs[$key] = [];
            foreach ($this->tables->feeds($run, $place, Aim::Cost, $posts) as $option) {
                $step = $option->capacity < $capacity - 1e-9 ? null : $this->step($run, $option);
                if ($step !== null && !$this->beaten($step, $this->stairs[$key])) {
                    $this->stairs[$key][] = $step;
                }
            }
        }

        return $this->stairs[$key];
    }

    private function step(Run $run, FeedOption $option): ?FeedStep
    {
        if (!array_key_exists($option->key, $this->steps)) {
            $hopeless =
                $this->uneven->fails($run, $option) ||
                $this->loses($run, $option) >= $this->solver->limit($run) + self::MISSED;
            $this->steps[$option->key] = $hopeless
                ? null
                : new FeedStep(
                    $option,
                    $this->loses($run, $option),
                    $this->tail($run, $option),
                    $this->taken[$option->key] ?? $this->amps->draws($run, $option),
                    $this->uneven->most($option),
                );
        }

        return $this->steps[$option->key];
    }

    /**
     * Whether one of some that are cheaper is no worse in any way; one that fails behind some trunk, or is doubted, leaves others their chance.
     *
     * @param  list<FeedStep>  $cheaper
     */
    private function beaten(FeedStep $step, array $cheaper): bool
    {
        $beats = fn(FeedStep $one): bool => $one->beats($step) &&
            !$this->trunks->fails($one->option) &&
            !$this->doubtful($this->tables->plan->run($one->option->run), $one->option, INF);

        return array_filter($cheaper, $beats) !== [];
    }

    /** Bounds of a way of feeding by the solves of its kind, without solving it. */
    public function bound(FeedOption $option): FeedBound
    {
        $run = $this->tables->plan->run($option->run);
        $drop = $this->loses($run, $option);

        return new FeedBound(
            $this->uneven->fails($run, $option) || $drop > $this->solver->limit($run) + self::MISSED,
            $option->leg === null ? $this->amps->draws($run, $option) : 0.0,
            $drop,
        );
    }

    /**
     * The cheapest of them for which there is room; null where there is none.
     *
     * @param  bool  $likely  without the doubtful ones, for layouts that shall hold; a bound counts them
     */
    public function cheapest(
        Run $run,
        string $place,
        float $capacity,
        FeedRoom $room,
        bool $likely,
        bool $posts,
    ): ?FeedOption {
        foreach ($this->stairs($run, $place, $capacity, $posts) as $step) {
            if (
                $room->holds($step) &&
                !$this->trunks->refuted($step->option, $room) &&
                !($likely && $this->doubtful($run, $step->option, $room->least))
            ) {
                return $step->option;
            }
        }

        return null;
    }

    /** Volts lost in the cables of a way of feeding and in its trunk, at least. */
    private function loses(Run $run, FeedOption $option): float
    {
        return $this->solved[$option->key] ?? $this->tail($run, $option);
    }

    /**
     * Volts lost in the cables of a way of feeding alone, at least: at the amps of the lowest volts, whatever its trunk loses. Of several feeds that
     * lose the same; in halves each feed carries its own.
     */
    private function tail(Run $run, FeedOption $option): float
    {
        if ($option->leg !== null) {
            return 0.0;
        }

        return $this->tails[$option->key] ?? ($this->plain[$option->key] ??= $this->lost($run, $option));
    }

    private function lost(Run $run, FeedOption $option): float
    {
        $siemens = [];
        foreach ($option->lengths as $n => $metres) {
            $tail = ($option->tails[$n] ?? $option->tails[0])->entry;
            $siemens[] =
                $tail instanceof Cable
                    ? 1 / $tail->conductor->ohms($metres, $this->tables->plan->limits->cableCelsius)
                    : INF;
        }
        $all = $option->halves() ? 2 * min([INF, ...$siemens]) : array_sum($siemens);

        return ($this->amps->draws($run, $option) / $all) * (1 + 1 / count($this->tables->strip($run)->channels));
    }

    /**
     * Solves a way of feeding with its own cables behind a trunk that loses nothing, and behind one that loses half the limit: whichever takes less
     * of it together. Returns whether that is more than was known.
     */
    public function refine(FeedOption $option): bool
    {
        $key = $option->key;
        if ($option->leg !== null || isset($this->solved[$key])) {
            return false;
        }
        $run = $this->tables->plan->run($option->run);
        $before = [$this->loses($run, $option), $this->tail($run, $option), $this->amps->draws($run, $option)];
        $highest = FeedBound::highest($this->tables, $this->solver->volts($run));
        $this->alone($run, $option, $highest);
        $now = $this->solver->at($run, $option, $highest)->drop ?? 0.0;
        $half = $this->solver->limit($run) / 2;
        // Behind a trunk its cables lose no less than alone: only where that is little more is it worth a solve.
        $behind =
            $now > $this->tails[$key] + $half
                ? $half +
                    ($this->solver->at($run, $option, $highest - $this->tables->plan->limits->drop / 2)->drop ?? 0.0)
                : INF;
        $this->solved[$key] = max($before[0], min($now, $behind));
        $this->uneven->refine($run, $option, $this->least($run, $option, $highest));
        unset($this->steps[$key]);
        $this->forget($run);

        return max($this->solved[$key] - $before[0], $this->tails[$key] - $before[1], $this->taken[$key] - $before[2]) >
            1e-9 ||
            $this->uneven->most($option) < INF ||
            $this->uneven->fails($run, $option);
    }

    /** Share of the strip's volts that its hub has at least: what its own cables lose, its trunk may not. Pixels have no trunk. */
    private function least(Run $run, FeedOption $option, float $highest): float
    {
        return $this->tables->strip($run)->switched()
            ? $highest - max(0.0, $this->solver->limit($run) - $this->tail($run, $option)) / $this->solver->volts($run)
            : $highest;
    }

    /** Solves a way of feeding at the least volts that its hub can have: there it loses least and draws least. */
    private function alone(Run $run, FeedOption $option, float $highest): void
    {
        $key = $option->key;
        $volts = $this->solver->volts($run);
        $this->taken[$key] = $this->amps->draws($run, $option);
        for ($n = 0; $n < self::NEARER; $n++) {
            $tail = $this->tail($run, $option);
            $last = $this->solver->at($run, $option, $this->least($run, $option, $highest));
            $this->tails[$key] = max($tail, $last->drop ?? 0.0);
            $this->taken[$key] = max($this->taken[$key], $last->amps ?? 0.0);
            if (self::NEAR * $volts > $this->tails[$key] - $tail) {
                break;
            }
        }
    }

    /**
     * Doubts a way of feeding after a layout in which it was too uneven, and all with the same or more loss, arms and hub volts. Returns whether that
     * is new.
     *
     * @param  float  $share  of the strip's volts that its hub had
     */
    public function doubt(FeedOption $option, float $share): bool
    {
        $run = $this->tables->plan->run($option->run);
        if ($this->doubtful($run, $option, $share)) {
            return false;
        }
        [$key, $arm] = $this->measures->of($run, $option);
        $this->doubts["{$run->id}/{$key}"][] = [$arm, $this->loses($run, $option), $share];
        $this->forget($run);

        return true;
    }

    private function doubtful(Run $run, FeedOption $option, float $share): bool
    {
        if ($this->doubts === []) {
            return false;
        }
        [$key, $arm] = $this->measures->of($run, $option);
        $loses = $this->loses($run, $option);
        foreach ($this->doubts["{$run->id}/{$key}"] ?? [] as [$from, $least, $hub]) {
            if ($arm >= $from - 1e-9 && $loses >= $least - 1e-9 && $share >= $hub - 1e-9) {
                return true;
            }
        }

        return false;
    }

    public function forget(Run $run): void
    {
        $this->stairs = array_filter(
            $this->stairs,
            static fn(string $key): bool => !str_starts_with($key, "{$run->id}/"),
            ARRAY_FILTER_USE_KEY,
        );
    }
}
