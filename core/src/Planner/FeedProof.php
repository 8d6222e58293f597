<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Kit\Cable;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Plan\Run;

/**
 * Ways of feeding that fail in every layout, by solves with cables that lose next to nothing: real ones only lose more. A strip is as uneven as the
 * longest arm beside a feed: a proof counts for all longer arms on strip of that kind, a pass for all shorter ones.
 */
final class FeedProof
{
    /** Feeds up to which a way of feeding is solved. */
    private const SOLVED = 2;

    /** Solves that bring the volts at a hub nearer to what its cables leave. */
    private const NEARER = 2;

    /** Share of the volts by which another of them is worth it. */
    private const NEAR = 0.002;

    /** Volts by which a limit must be missed. */
    public const MISSED = 1e-3;

    /** @var array<string, float> by run */
    private array $amps = [];

    private readonly FeedMeasures $measures;

    public readonly TrunkProof $trunks;

    /** @var array<string, KitSnapshot|null> the best controller, by run */
    private array $best = [];

    /** @var array<string, list<FeedStep>> by run, place and amps */
    private array $stairs = [];

    /**
     * Longest arm and volts lost of feedings that were too uneven in a layout, by run and what they are compared with: not proven to fail in every one.
     *
     * @var array<string, list<array{float, float}>>
     */
    private array $doubts = [];

    /** @var array<string, float> volts lost at least by ways of feeding that were solved with their own cables */
    private array $solved = [];

    /** @var array<string, float> volts lost at least in their own cables alone */
    private array $tails = [];

    /** @var array<string, float> the same without a solve, by the amps of their kind */
    private array $plain = [];

    /** @var array<string, bool> whether a way of feeding is too uneven at any volts */
    private array $uneven = [];

    /** @var array<string, float> amps that they take at least */
    private array $taken = [];

    public function __construct(
        private readonly Tables $tables,
        private readonly PlannerProgress $watch,
        private readonly FeedKinds $known,
    ) {
        $this->measures = new FeedMeasures($tables->plan);
        $this->trunks = new TrunkProof($tables, $this->solved(...));
    }

    /**
     * Feedings of a run from a place that are not proven to fail and whose cables carry so many amps: the cheapest first, each that costs more
     * loses less, before its trunk or in its own cables.
     *
     * @param  bool  $likely  without the doubtful ones, for layouts that shall hold; a bound counts them
     * @param  bool  $posts  from the posts of a bank, which need no terminals
     * @return list<FeedStep>
     */
    public function stairs(Run $run, string $place, float $capacity, bool $likely = false, bool $posts = false): array
    {
        $key = "{$run->id}/{$place}/{$capacity}" . ($likely ? '/likely' : '') . ($posts ? '/posts' : '');
        if (!isset($this->stairs[$key])) {
            $this->stairs[$key] = [];
            $limit = $this->limit($run) + self::MISSED;
            foreach ($this->tables->feeds($run, $place, Aim::Cost, $posts) as $option) {
                if ($option->capacity < $capacity - 1e-9 || $this->uneven($run, $option)) {
                    continue;
                }
                $step = new FeedStep(
                    $option,
                    $this->loses($run, $option),
                    $this->tail($run, $option),
                    $this->taken[$option->key] ?? $this->draws($run, $option),
                );
                if (
                    $step->loses < $limit &&
                    !$this->beaten($step, $this->stairs[$key]) &&
                    !($likely && $this->doubtful($run, $option))
                ) {
                    $this->stairs[$key][] = $step;
                }
            }
        }

        return $this->stairs[$key];
    }

    /** @param  list<FeedStep>  $cheaper  Whether one of them is no worse in any way; one that fails behind some trunk leaves others their chance. */
    private function beaten(FeedStep $step, array $cheaper): bool
    {
        $beats = fn(FeedStep $one): bool => $one->beats($step) && !$this->trunks->fails($one->option);

        return array_filter($cheaper, $beats) !== [];
    }

    /** Bounds of a way of feeding by the solves of its kind, without solving it. */
    public function bound(FeedOption $option): FeedBound
    {
        $run = $this->tables->plan->run($option->run);
        $drop = $this->loses($run, $option);

        return new FeedBound(
            $this->uneven($run, $option) || $drop > $this->limit($run) + self::MISSED,
            $option->leg === null ? $this->draws($run, $option) : 0.0,
            $drop,
        );
    }

    /** The cheapest of them for which there is room; null where there is none. */
    public function cheapest(
        Run $run,
        string $place,
        float $capacity,
        FeedRoom $room,
        bool $likely,
        bool $posts,
    ): ?FeedOption {
        foreach ($this->stairs($run, $place, $capacity, $likely, $posts) as $step) {
            if ($room->holds($step) && !$this->trunks->refuted($step->option, $room)) {
                return $step->option;
            }
        }

        return null;
    }

    /** Amps that a run takes at least, in any way of feeding that is not proven to fail, at the lowest volts. */
    public function amps(Run $run): float
    {
        if (!isset($this->amps[$run->id])) {
            $draws = [];
            foreach ($this->tables->feeds($run, $this->tables->places([$run], false)[0] ?? '', Aim::Cost) as $option) {
                if (self::solvable($option) && !isset($draws[$option->pattern]) && !$this->uneven($run, $option)) {
                    $draws[$option->pattern] = $this->draws($run, $option);
                }
                $any = $option;
            }
            $longest = isset($any) ? $this->longest($run, $any) : null;
            if ($longest !== null) {
                $draws[$longest->pattern] =
                    $this->solved($run, $longest, FeedBound::lowest($this->tables, $this->tables->strip($run)->volts))
                        ->amps ?? 0.0;
            }
            $this->amps[$run->id] = $draws === [] ? 0.0 : min($draws);
        }

        return $this->amps[$run->id];
    }

    /** Of one or two feeds at places along a run those with the longest arms that are not proven to fail: they draw least. */
    private function longest(Run $run, FeedOption $like): ?FeedOption
    {
        $marks = $this->tables->plan->of($run)->marks();
        $place = static fn(int $k): int => $marks->nearest(($marks->length() * $k) / Feeding::STEPS);
        $ways = [];
        for ($k = 1; $k < Feeding::STEPS / 2; $k++) {
            $ways[Feeding::SPOT . $k] = [$place($k)];
        }
        for ($k = 1; $k < Feeding::STEPS / 4; $k++) {
            $ways[Feeding::SPOT . $k . '+' . (Feeding::STEPS - $k)] = [$place($k), $place(Feeding::STEPS - $k)];
        }
        foreach (count($run->sections) > 1 || $run->pins !== [] ? [] : $ways as $name => $pads) {
            $option = $this->ideal($like, $name, $pads);
            if (!$this->uneven($run, $option)) {
                return $option;
            }
        }

        return null;
    }

    /** Whether its amps are solved: many feeds are as good as never uneven, and not refused without a proof; of places along a run one counts. */
    private static function solvable(FeedOption $option): bool
    {
        return (count($option->pads) <= self::SOLVED && !$option->spot()) || $option->pattern === Feeding::NOW;
    }

    /** Amps of a run in a way of feeding at the lowest volts: of the longest run of its kind, by the metre. Of a leg nothing is known. */
    private function draws(Run $run, FeedOption $option): float
    {
        if ($option->leg !== null) {
            return 0.0;
        }
        if (!self::solvable($option)) {
            return $this->amps($run);
        }
        $metres = $this->tables->plan->of($run)->litLength();
        $key = $this->measures->kind($run) . "/{$option->pattern}";
        if (($this->known->draws[$key][1] ?? 0.0) < $metres) {
            $now = $this->solved(
                $run,
                $this->ideal($option),
                FeedBound::lowest($this->tables, $this->tables->strip($run)->volts),
            );
            $this->known->draws[$key] = [($now->amps ?? 0.0) / max(0.01, $metres), $metres];
        }

        return $this->known->draws[$key][0] * $metres;
    }

    /** Volts that may be lost to the farthest feed. */
    public function limit(Run $run): float
    {
        return $this->tables->plan->limits->drop * $this->tables->strip($run)->volts;
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

        return ($this->draws($run, $option) / $all) * (1 + 1 / count($this->tables->strip($run)->channels));
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
        $before = $this->loses($run, $option);
        $highest = FeedBound::highest($this->tables, $this->tables->strip($run)->volts);
        $tail = $this->tail($run, $option);
        $this->alone($run, $option, $highest);
        $now = $this->solved($run, $option, $highest)->drop ?? 0.0;
        $half = $this->limit($run) / 2;
        // Behind a trunk its cables lose no less than alone: only where that is little more is it worth a solve.
        $behind =
            $now > $this->tails[$key] + $half
                ? $half + ($this->solved($run, $option, $highest - $this->tables->plan->limits->drop / 2)->drop ?? 0.0)
                : INF;
        $this->solved[$key] = max($before, min($now, $behind));
        $this->forget($run);

        return $this->solved[$key] > $before + 1e-9 || $this->tails[$key] > $tail + 1e-9;
    }

    /** Solves a way of feeding at the least volts that its hub can have: there it loses least and draws least. */
    private function alone(Run $run, FeedOption $option, float $highest): void
    {
        $key = $option->key;
        $volts = $this->tables->strip($run)->volts;
        $this->taken[$key] = $this->draws($run, $option);
        for ($n = 0; $n < self::NEARER; $n++) {
            $tail = $this->tail($run, $option);
            $last = $this->solved($run, $option, $highest - max(0.0, $this->limit($run) - $tail) / $volts);
            $this->tails[$key] = max($tail, $last->drop ?? 0.0);
            $this->taken[$key] = max($this->taken[$key], $last->amps ?? 0.0);
            if (self::NEAR * $volts > $this->tails[$key] - $tail) {
                break;
            }
        }
    }

    /** Doubts a way of feeding that was too uneven in a layout, and those that lose no less with no shorter arms. Returns whether that is new. */
    public function doubt(FeedOption $option): bool
    {
        $run = $this->tables->plan->run($option->run);
        if ($this->doubtful($run, $option)) {
            return false;
        }
        [$key, $arm] = $this->measures->of($run, $option);
        $this->doubts["{$run->id}/{$key}"][] = [$arm, $this->loses($run, $option)];
        $this->forget($run);

        return true;
    }

    private function doubtful(Run $run, FeedOption $option): bool
    {
        [$key, $arm] = $this->measures->of($run, $option);
        $loses = $this->loses($run, $option);
        foreach ($this->doubts["{$run->id}/{$key}"] ?? [] as [$from, $least]) {
            if ($arm >= $from - 1e-9 && $loses >= $least - 1e-9) {
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

    private function uneven(Run $run, FeedOption $option): bool
    {
        return $this->uneven[$option->key] ??= $this->proven($run, $option);
    }

    private function proven(Run $run, FeedOption $option): bool
    {
        if (!self::solvable($option) && !$option->spot()) {
            return false;
        }
        [$key, $metres] = $this->measures->of($run, $option);
        if ($metres >= ($this->known->fails[$key] ?? INF)) {
            return true;
        }
        if ($metres <= ($this->known->passes[$key] ?? 0.0)) {
            return false;
        }
        foreach (array_reverse(FeedBound::shares($this->tables, $this->tables->strip($run)->volts)) as $share) {
            $now = $this->solved($run, $this->ideal($option), $share);
            if ($now === null || $now->excess <= FeedBound::MARGIN) {
                $this->known->passes[$key] = $metres;

                return false;
            }
        }
        $this->known->fails[$key] = $metres;

        return true;
    }

    private function solved(Run $run, FeedOption $option, float $share, float $trunk = 0.0): ?JudgedFeeds
    {
        $this->watch->step($run->name());
        $this->best[$run->id] ??= $this->tables->strip($run)->switched()
            ? FeedBound::least($this->tables->controllers([$run], true))
            : null;

        return FeedBound::at($this->tables, $option, $this->best[$run->id], $share, $trunk);
    }

    /** @param  list<int>|null  $pads  of another pattern */
    private function ideal(FeedOption $option, ?string $pattern = null, ?array $pads = null): FeedOption
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
