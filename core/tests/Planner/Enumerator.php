<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Planner;

use EmberDusk\Circuit\Conditions;
use EmberDusk\Circuit\Engine;
use EmberDusk\Circuit\FixtureResult;
use EmberDusk\Circuit\Island;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Circuit\States;
use EmberDusk\Costing\Basis;
use EmberDusk\Costing\Costing;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\Routes;
use EmberDusk\Plan\Run;
use EmberDusk\Planner\Aim;
use EmberDusk\Planner\Layout;
use EmberDusk\Planner\RunBlock;
use EmberDusk\Planner\Tables;
use EmberDusk\Values\Refusal;

/** Nested loops over the planner's tables and nothing else of it: every layout is built, priced from the built plan and held against the limits again. */
final class Enumerator
{
    /** @var array<string, bool> */
    private array $holds = [];

    public int $solved = 0;

    public function __construct(
        private readonly Plan $plan,
        private readonly Tables $tables,
        private readonly ShelfSource $shelf,
    ) {}

    /**
     * @param  list<Run>  $runs  of one place and volts
     * @return array{int, string}|null cost and decisions of the best plan
     */
    public function best(array $runs): ?array
    {
        $best = null;
        foreach (self::partitions($runs) as $sets) {
            $cost = 0;
            $keys = [];
            foreach ($sets as $set) {
                $one = $this->onOneSupply($set);
                if ($one === null) {
                    continue 2;
                }
                $cost += $one[0];
                $keys[] = $one[1];
            }
            $plan = [$cost, implode(',', $keys)];
            $best = $best === null || $plan < $best ? $plan : $best;
        }

        return $best;
    }

    /**
     * @param  non-empty-list<Run>  $set
     * @return array{int, string}|null
     */
    public function onOneSupply(array $set): ?array
    {
        $best = null;
        $pinned = in_array('kit', $set[0]->pins, true);
        foreach (self::partitions($set) as $blocks) {
            foreach ($blocks as $block) {
                if (
                    (count($block) > 1 && !$this->tables->strip($block[0])->switched()) ||
                    ($pinned && count($blocks) > 1 && $set[0]->controller === $set[1]->controller)
                ) {
                    continue 2;
                }
            }
            foreach ($pinned ? [Routes::NOW . $set[0]->id] : $this->tables->sources->places($set) as $place) {
                foreach ($this->tables->sources->at($set, $place, true) as $source) {
                    foreach (
                        self::product(array_map(fn(array $b): array => $this->blocks($b, $place, $pinned), $blocks))
                        as $made
                    ) {
                        $found = $this->priced(new Layout($source, $place, $made), $set);
                        if ($best === null || [$found[0], $found[1]] < [$best[0], $best[1]]) {
                            $best = $this->holds($found[2], $found[1], $set) ? $found : $best;
                        }
                    }
                }
            }
        }

        return $best === null ? null : [$best[0], $best[1]];
    }

    /**
     * @param  list<Run>  $set
     * @return array{int, string, Plan} cost, decisions, and the plan as built
     */
    private function priced(Layout $layout, array $set): array
    {
        $plan = $layout->built($this->plan, $this->tables, $this->shelf);
        $runs = array_filter($plan->runs, static fn(Run $r): bool => self::among($r, $set));

        return [Costing::moving($plan, new Basis($this->shelf), array_keys($runs))->cost(), $layout->key(), $plan];
    }

    /**
     * @param  non-empty-list<Run>  $runs
     * @return list<RunBlock>
     */
    private function blocks(array $runs, string $supply, bool $pinned): array
    {
        $switched = $this->tables->strip($runs[0])->switched();
        $all = [];
        foreach (
            match (true) {
                !$switched => [$supply],
                $pinned => [Routes::NOW . $runs[0]->id],
                default => $this->tables->routes->places($runs, false),
            }
            as $place
        ) {
            foreach ($switched ? $this->tables->controllers($runs, true) : [null] as $controller) {
                foreach ($this->tables->trunks($runs) as $trunk) {
                    foreach (
                        self::product(
                            array_map(fn(Run $r): array => $this->tables->feeds($r, $place, Aim::Cost), $runs),
                        )
                        as $feeds
                    ) {
                        $all[] = new RunBlock($controller, $place, $trunk, $feeds);
                    }
                }
            }
        }

        return $all;
    }

    /** @param  list<Run>  $set */
    private function holds(Plan $plan, string $key, array $set): bool
    {
        return $this->holds[$key] ??= $this->judge($plan, $set);
    }

    /** @param  list<Run>  $set */
    private function judge(Plan $plan, array $set): bool
    {
        $this->solved++;
        $watts = 0.0;
        $amps = [];
        foreach ($plan->runs as $run) {
            if (!self::among($run, $set)) {
                continue;
            }
            $strip = $this->tables->strip($run);
            $metres = floor(array_sum($run->sections) / $strip->pitch + 1e-9) * $strip->pitch;
            $watts += $strip->wattsPerMetre() * $metres;
            $controller = $plan->controller($run->controller);
            if ($controller !== null && $strip->switched()) {
                $amps[$run->controller] =
                    ($amps[$run->controller] ?? 0.0) + ($strip->wattsPerMetre() * $metres) / $strip->volts;
                if (
                    $amps[$run->controller] > $controller->totalAmps + 1e-9 ||
                    $controller->channelAmps + 1e-9 < $amps[$run->controller] / count($strip->channels)
                ) {
                    return false;
                }
            }
        }
        $supply = (string) $plan->run($set[0]->id)->supply;
        $rated = $plan->supply($supply)?->ratedWatts() ?? 0.0;
        if ($plan->block($supply) === null && $watts > $rated * (1 - $plan->limits->headroom) + 1e-9) {
            return false;
        }
        try {
            $results = $open = [];
            foreach (Island::all($plan) as $island) {
                if (array_filter($set, static fn(Run $r): bool => isset($island->parts[$r->id])) !== []) {
                    $results += (new Engine($plan))->planned($island);
                    $open = [...$open, ...array_values(States::opened($plan, $island))];
                    if ($plan->block($supply) !== null && !$this->charged($plan, $island)) {
                        return false;
                    }
                }
            }
            if ($plan->converter($supply) !== null && !self::converted($plan, $supply, $results)) {
                return false;
            }
        } catch (Refusal) {
            return false;
        }
        foreach ($results as $id => $result) {
            if (!($result instanceof RunResult) || !$this->fits($plan, $plan->runs[$id], $result, $open)) {
                return false;
            }
        }

        return true;
    }

    /** On charge a strip draws at most 1.15 times its label, and no fuse blows. */
    private function charged(Plan $plan, Island $island): bool
    {
        foreach ((new Engine($plan))->scene($island, null, Conditions::charging()) as $result) {
            if (!($result instanceof RunResult) || max([0.0, ...$result->light]) > 1.15) {
                return false;
            }
            foreach ($result->cables as $id => $cable) {
                $fuse = $plan->fuse($plan->cables[$id]->fuse)->amps ?? INF;
                if (1.25 * max($cable->outAmps, $cable->backAmps) > $fuse) {
                    return false;
                }
            }
        }

        return true;
    }

    /**
     * A converter's input from an empty bank: its watts are (U - R I) I, by halving; its least load; the fuse of its cable.
     *
     * @param  array<string, RunResult|FixtureResult>  $results
     */
    private static function converted(Plan $plan, string $id, array $results): bool
    {
        $converter = $plan->converter($id);
        $cable = $plan->ways()->cableTo($id);
        $bank = $plan->supply($plan->supplies[$id]->bank);
        $copper = $plan->cable($cable->kit ?? '')?->conductor;
        if ($converter === null || $cable === null || $bank === null || $copper === null) {
            return false;
        }
        $amps = array_values($results)[0]->supplies[$id]->amps ?? 0.0;
        $watts = ($amps * $converter->volts) / $converter->efficiency;
        // Both cores, with a terminal of 2 mohm at each end of both.
        $ohms = $bank->sourceOhms + 2 * ($copper->ohms($cable->length, $plan->limits->cableCelsius) + 2 * 0.002);
        [$low, $high] = [0.0, (float) $bank->lowest / (2 * $ohms)];
        for ($n = 0; $n < 60; $n++) {
            $middle = ($low + $high) / 2;
            [$low, $high] =
                ((float) $bank->lowest - $ohms * $middle) * $middle < $watts ? [$middle, $high] : [$low, $middle];
        }
        $fuse = $plan->fuse($cable->fuse);

        return $amps >= $converter->leastAmps &&
            $bank->lowest - $ohms * $high >= $converter->inputLeast &&
            $bank->charging <= $converter->inputMost &&
            $fuse !== null &&
            $fuse->amps <= $copper->capacity &&
            1.25 * $high <= $fuse->amps;
    }

    /** @param  list<array<string, float>>  $open */
    private function fits(Plan $plan, Run $run, RunResult $result, array $open): bool
    {
        $light = $result->light;
        $lowest = min([INF, ...array_map(static fn($f): float => $f->volts, array_values($result->feeds))]);
        $ends = max($light[0], $light[count($light) - 1]);
        $apart = $plan->of($run)->endsApart();
        if (
            round(min([1e9, ...$light]) / max([0.0, ...$light]), 4) < $plan->limits->evenness ||
            round($result->supplyVolts - $lowest, 4) > $plan->limits->drop * $this->tables->strip($run)->volts ||
            ($apart !== null &&
                $apart <= 1.0 &&
                round(abs($light[0] - $light[count($light) - 1]) / $ends, 4) > $plan->limits->seam)
        ) {
            return false;
        }
        // Common practice: 5 A into one end of a strip without a rail rating. The current into a group is its own plus that of the groups behind it.
        foreach ($result->railAmps as $g => $amps) {
            if (round(max(abs($amps), abs($amps + $light[$g] * array_sum($result->nominal))), 4) > 5.0) {
                return false;
            }
        }
        foreach ($result->cables as $id => $cable) {
            $amps = round(max($cable->outAmps, $cable->backAmps, ...array_column($open, $id)), 4);
            $capacity = $plan->cable($plan->cables[$id]->kit)->conductor->capacity ?? 0.0;
            $guards = [$plan->supply($run->supply)->overloadAmps ?? 0.0];
            for ($on = $plan->cables[$id]; $on !== null; $on = $plan->ways()->cableTo($on->from)) {
                $guards[] = $plan->fuse($on->fuse)->amps ?? INF;
            }
            $own = $plan->fuse($plan->cables[$id]->fuse)->amps ?? INF;
            if ($amps > $capacity || min($guards) > $capacity || round(1.25 * $amps, 4) > $own) {
                return false;
            }
        }

        return true;
    }

    /** @param  list<Run>  $set */
    private static function among(Run $run, array $set): bool
    {
        return array_filter($set, static fn(Run $r): bool => $r->place === $run->place && $r->word === $run->word) !==
            [];
    }

    /**
     * @template T
     *
     * @param  list<list<T>>  $lists
     * @return iterable<list<T>>
     */
    private static function product(array $lists): iterable
    {
        if ($lists === []) {
            yield [];

            return;
        }
        foreach (array_shift($lists) as $one) {
            foreach (self::product($lists) as $rest) {
                yield [$one, ...$rest];
            }
        }
    }

    /**
     * @param  list<Run>  $runs
     * @return iterable<list<non-empty-list<Run>>>
     */
    private static function partitions(array $runs): iterable
    {
        if ($runs === []) {
            yield [];

            return;
        }
        $first = array_shift($runs);
        for ($with = 0; $with < 2 ** count($runs); $with++) {
            $set = [$first];
            $rest = [];
            foreach ($runs as $n => $run) {
                if ((($with >> $n) & 1) === 1) {
                    $set[] = $run;
                } else {
                    $rest[] = $run;
                }
            }
            foreach (self::partitions($rest) as $sets) {
                yield [$set, ...$sets];
            }
        }
    }
}
