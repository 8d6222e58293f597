<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Circuit\Solver\Newton;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Plan\Scene;
use EmberDusk\Values\IncompletePlan;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\NoSolution;
use EmberDusk\Values\Refusal;

/** Solves an island of a plan at full light: as planned, at both ends of what may be off, and with each feed open. */
final readonly class Engine
{
    /** Version of the calculation: raised when the same plan may give other numbers; printed on hand-over sheets. */
    public const VERSION = '1.7';

    public function __construct(private Plan $plan) {}

    /** @throws Refusal when parts are missing or the circuit has no solution */
    public function solve(Run $run): RunResult
    {
        return self::runIn($this->island($this->islandOf($run)), $run);
    }

    /**
     * @return array<string, RunResult|FixtureResult> by run and by fitting
     *
     * @throws Refusal when the circuit has no solution
     */
    public function island(Island $island): array
    {
        $open = States::opened($this->plan, $island);
        $spread = [];
        $phased = count(Phases::for($this->plan, $island, null)) > 1;
        foreach (States::extremes() as $state => $conditions) {
            $other = Wiring::for($this->plan, $island, $conditions);
            $solved = Newton::solve($other);
            $spread[] = $phased
                ? self::lights($this->scene($island, null, $conditions))
                : Readings::light($other, $solved);
            if (States::swings($this->plan, $island)) {
                $open += [$state => Readings::cableAmps($other, $solved)];
            }
        }
        if ($phased) {
            $results = [];
            foreach ($this->scene($island, null) as $id => $result) {
                $result = $result->opened($open);
                $results[$id] =
                    $result instanceof RunResult
                        ? $result->ranging($spread[0][$id] ?? [], $spread[1][$id] ?? [])
                        : $result;
            }

            return $results;
        }
        $network = Wiring::for($this->plan, $island);

        return Readings::for(
            plan: $this->plan,
            island: $island,
            network: $network,
            solution: Newton::solve($network),
            spread: $spread,
            open: $open,
        );
    }

    /**
     * An island in a scene, as planned: every phase solved, light averaged over them.
     *
     * @return array<string, RunResult|FixtureResult> by run and by fitting
     *
     * @throws Refusal when a phase has no solution
     */
    public function scene(Island $island, ?Scene $scene, Conditions $conditions = new Conditions()): array
    {
        $phases = Phases::for($this->plan, $island, $scene);
        $of = [];
        foreach ($phases as $phase) {
            $network = Wiring::for($this->plan, $island, $conditions, $phase);
            $solution = Newton::solve($network);
            $light = Readings::light($network, $solution);
            foreach (
                Readings::for(
                    plan: $this->plan,
                    island: $island,
                    network: $network,
                    solution: $solution,
                    spread: [$light, $light],
                    open: [],
                )
                as $id => $result
            ) {
                $of[$id][] = [$phase, $result];
            }
        }
        $mixed = [];
        foreach ($of as $id => $results) {
            $runs = array_values(array_filter($results, static fn(array $r): bool => $r[1] instanceof RunResult));
            $mixed[$id] = $runs === [] ? $results[0][1] : PhaseAverage::run($runs);
        }

        return $mixed;
    }

    /**
     * The run as planned only, without ranges and without open feeds: enough to compare options by.
     *
     * @throws Refusal when parts are missing or the circuit has no solution
     */
    public function nominal(Run $run): RunResult
    {
        return self::runIn($this->planned($this->islandOf($run)), $run);
    }

    /**
     * An island as planned only, without ranges and without open feeds.
     *
     * @return array<string, RunResult|FixtureResult> by run and by fitting
     *
     * @throws Refusal when the circuit has no solution
     */
    public function planned(Island $island): array
    {
        if (count(Phases::for($this->plan, $island, null)) > 1) {
            return $this->scene($island, null);
        }
        $network = Wiring::for($this->plan, $island);
        $solution = Newton::solve($network);
        $light = Readings::light($network, $solution);

        return Readings::for(
            plan: $this->plan,
            island: $island,
            network: $network,
            solution: $solution,
            spread: [$light, $light],
            open: [],
        );
    }

    /**
     * Results with the light of an empty battery and of one on charge as their range.
     *
     * @param  array<string, RunResult|FixtureResult>  $results
     * @return array<string, RunResult|FixtureResult>
     *
     * @throws Refusal when the circuit has no solution
     */
    public function swinging(Island $island, array $results): array
    {
        $empty = self::lights($this->scene($island, null, Conditions::empty()));
        $charging = self::lights($this->scene($island, null, Conditions::charging()));
        foreach ($results as $id => $result) {
            if ($result instanceof RunResult && isset($empty[$id], $charging[$id])) {
                $results[$id] = $result->ranging($empty[$id], $charging[$id]);
            }
        }

        return $results;
    }

    /**
     * Light along a run with thin rails and low volts.
     *
     * @return list<float> by group
     *
     * @throws Refusal when parts are missing or the circuit has no solution
     */
    public function poorest(Run $run): array
    {
        $network = Wiring::for($this->plan, $this->islandOf($run), Conditions::poor());

        return Readings::light($network, Newton::solve($network))[$run->id] ?? [];
    }

    /**
     * @param  array<string, RunResult|FixtureResult>  $results
     * @return array<string, list<float>> light by run
     */
    private static function lights(array $results): array
    {
        $lights = [];
        foreach ($results as $id => $result) {
            $lights[$id] = $result instanceof RunResult ? $result->light : [];
        }

        return $lights;
    }

    /** @param  array<string, RunResult|FixtureResult>  $results */
    private static function runIn(array $results, Run $run): RunResult
    {
        $result = $results[$run->id] ?? null;
        if (!($result instanceof RunResult)) {
            throw NoSolution::at($run->id, $run->name() . ' has no result.');
        }

        return $result;
    }

    /** @throws Refusal when parts are missing */
    public function network(Run $run): Network
    {
        return Wiring::for($this->plan, $this->islandOf($run));
    }

    /**
     * @param  int  $phase  from 1, of the period of a scene or at full; an island that has fewer is left out
     * @return list<Network> of every island
     *
     * @throws Refusal when no island has such a phase
     */
    public function networks(?Scene $scene = null, int $phase = 1): array
    {
        $networks = [];
        $islands = Island::all($this->plan);
        foreach ($islands as $island) {
            foreach (Phases::for($this->plan, $island, $scene) as $one) {
                if ($one->number === $phase) {
                    $networks[] = Wiring::for($this->plan, $island, new Conditions(), $one);
                }
            }
        }
        if ($networks === [] && $islands !== [] && $phase !== 1) {
            throw InvalidInput::at('/phase', "Phase {$phase} does not exist.");
        }

        return $networks;
    }

    /** @throws Refusal naming the missing kit */
    public function islandOf(Run $run): Island
    {
        $lacking = WiredRun::lacking($this->plan, $run);
        $short = array_map(
            static fn(string $id): string => 'enough cores or channels at ' . strtoupper($id),
            array_keys(WiredRun::short($this->plan, $run)),
        );

        return Island::for($this->plan, $run) ??
            throw IncompletePlan::at(
                $run->id,
                $run->name() . ' cannot be calculated yet. It lacks ' . implode(', ', [...$lacking, ...$short]) . '.',
            );
    }
}
