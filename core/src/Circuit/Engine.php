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
    /** Goes up whenever the same plan may give other numbers; printed on what is handed over. */
    public const VERSION = '1.3';

    /** @throws Refusal when parts are missing or the circuit has no solution */
    public static function solve(Plan $plan, Run $run): RunResult
    {
        return self::runIn(self::island($plan, self::islandOf($plan, $run)), $run);
    }

    /**
     * @return array<string, RunResult|FixtureResult> by run and by fitting
     *
     * @throws Refusal when the circuit has no solution
     */
    public static function island(Plan $plan, Island $island): array
    {
        if (count(Phases::of($plan, $island, null)) > 1) {
            return self::scene($plan, $island, null);
        }
        $network = Wiring::of($plan, $island);
        $solution = Newton::solve($network);
        $spread = [];
        foreach ([Conditions::poor(), Conditions::rich()] as $conditions) {
            $other = Wiring::of($plan, $island, $conditions);
            $spread[] = Readings::light($other, Newton::solve($other));
        }

        return Readings::of(
            plan: $plan,
            island: $island,
            network: $network,
            solution: $solution,
            spread: $spread,
            open: self::opened($plan, $island),
        );
    }

    /**
     * An island in a scene, as planned: every phase solved, light averaged over them.
     *
     * @return array<string, RunResult|FixtureResult> by run and by fitting
     *
     * @throws Refusal when a phase has no solution
     */
    public static function scene(Plan $plan, Island $island, ?Scene $scene): array
    {
        $phases = Phases::of($plan, $island, $scene);
        $of = [];
        foreach ($phases as $phase) {
            $network = Wiring::of($plan, $island, new Conditions(), $phase);
            $solution = Newton::solve($network);
            $light = Readings::light($network, $solution);
            foreach (
                Readings::of(
                    plan: $plan,
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
            $mixed[$id] = $runs === [] ? $results[0][1] : Averaged::run($runs);
        }

        return $mixed;
    }

    /**
     * The run as planned only, without ranges and without open feeds: enough to compare options by.
     *
     * @throws Refusal when parts are missing or the circuit has no solution
     */
    public static function nominal(Plan $plan, Run $run): RunResult
    {
        return self::runIn(self::planned($plan, self::islandOf($plan, $run)), $run);
    }

    /**
     * An island as planned only, without ranges and without open feeds.
     *
     * @return array<string, RunResult|FixtureResult> by run and by fitting
     *
     * @throws Refusal when the circuit has no solution
     */
    public static function planned(Plan $plan, Island $island): array
    {
        $network = Wiring::of($plan, $island);
        $solution = Newton::solve($network);
        $light = Readings::light($network, $solution);

        return Readings::of(
            plan: $plan,
            island: $island,
            network: $network,
            solution: $solution,
            spread: [$light, $light],
            open: [],
        );
    }

    /**
     * Amps of each cable's fullest core with one feed after the other open, where a tail could then carry too much.
     *
     * @return list<array<string, float>>
     *
     * @throws Refusal when the circuit has no solution
     */
    public static function opened(Plan $plan, Island $island): array
    {
        $open = [];
        foreach (self::openable($plan, $island, Wiring::of($plan, $island)) as $feed) {
            $without = Wiring::of($plan, $island, new Conditions(openFeed: $feed));
            $open[] = Readings::cableAmps($without, Newton::solve($without));
        }

        return $open;
    }

    /**
     * Light along a run with thin rails and low volts.
     *
     * @return list<float> by group
     *
     * @throws Refusal when parts are missing or the circuit has no solution
     */
    public static function poorest(Plan $plan, Run $run): array
    {
        $network = Wiring::of($plan, self::islandOf($plan, $run), Conditions::poor());

        return Readings::light($network, Newton::solve($network))[$run->id] ?? [];
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
    public static function network(Plan $plan, Run $run): Network
    {
        return Wiring::of($plan, self::islandOf($plan, $run));
    }

    /**
     * @param  int  $phase  from 1, of the period of a scene or at full; an island that has fewer is left out
     * @return list<Network> of every island
     *
     * @throws Refusal when no island has such a phase
     */
    public static function networks(Plan $plan, ?Scene $scene = null, int $phase = 1): array
    {
        $networks = [];
        $islands = Island::all($plan);
        foreach ($islands as $island) {
            foreach (Phases::of($plan, $island, $scene) as $one) {
                if ($one->number === $phase) {
                    $networks[] = Wiring::of($plan, $island, new Conditions(), $one);
                }
            }
        }
        if ($networks === [] && $islands !== [] && $phase !== 1) {
            throw InvalidInput::at('/phase', "There is no phase {$phase}.");
        }

        return $networks;
    }

    /**
     * Feeds that are worth leaving open: some tail could then carry too much. No group has more across it than the
     * greatest EMF; what they all take at that is more than any tail will ever carry, and mostly less than every tail may.
     *
     * @return list<string>
     */
    private static function openable(Plan $plan, Island $island, Network $network): array
    {
        $most = array_sum(array_map(static fn(Draw $d): float => $d->amps, $network->draws));
        $emf = max(array_map(static fn(Source $s): float => $s->emf, $network->sources) ?: [0.0]);
        foreach ($network->stretches as $stretch) {
            foreach ($stretch->loads as $load) {
                $most += $stretch->groups * $load->evaluate([$emf])[0][0];
            }
        }
        $feeds = [];
        foreach ($network->points as $point) {
            $most += $point->load->watts / $point->load->leastVolts;
        }
        foreach ($island->parts as $parts) {
            foreach ($parts->tails as $tail) {
                if (count($parts->tails) > 1 && ($plan->cable($tail->kit)->conductor->capacity ?? 0.0) < $most) {
                    array_push($feeds, ...array_keys($parts->tails));
                    break;
                }
            }
        }

        return $feeds;
    }

    /** @throws Refusal that says what the run lacks */
    public static function islandOf(Plan $plan, Run $run): Island
    {
        $lacking = WiredRun::lacking($plan, $run);
        $short = array_map(
            static fn(string $id): string => 'enough cores or channels at ' . strtoupper($id),
            array_keys(WiredRun::short($plan, $run)),
        );

        return Island::of($plan, $run) ??
            throw IncompletePlan::at(
                $run->id,
                $run->name() . ' cannot be computed yet. It lacks ' . implode(', ', [...$lacking, ...$short]) . '.',
            );
    }
}
