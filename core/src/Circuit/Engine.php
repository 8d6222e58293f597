<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Circuit\Solver\Newton;
use EmberDusk\Formats\Json;
use EmberDusk\Plan\Document;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Workings\Trouble;

/** Solves an island of a plan at full light: as planned, at both ends of what may be off, and with each feed open. */
final readonly class Engine
{
    /** Goes up whenever the same plan may give other numbers; printed on what is handed over. */
    public const VERSION = '1.1';

    /** @throws Trouble when parts are missing or the circuit has no solution */
    public static function solve(Plan $plan, Run $run): RunResult
    {
        return self::island($plan, self::islandOf($plan, $run))[$run->id];
    }

    /**
     * @return array<string, RunResult> by run
     *
     * @throws Trouble when the circuit has no solution
     */
    public static function island(Plan $plan, Island $island): array
    {
        $network = Wiring::of($plan, $island);
        $solution = Newton::solve($network);
        $open = [];
        foreach (self::openable($plan, $island, $network) as $feed) {
            $without = Wiring::of($plan, $island, new Conditions(openFeed: $feed));
            $open[] = Readings::cableAmps($without, Newton::solve($without));
        }
        $spread = [];
        foreach ([Conditions::poor(), Conditions::rich()] as $conditions) {
            $other = Wiring::of($plan, $island, $conditions);
            $spread[] = Readings::light($other, Newton::solve($other));
        }

        return Readings::of($plan, $island, $network, $solution, $spread, $open);
    }

    /**
     * The run as planned only, without ranges and without open feeds: enough to compare options by.
     *
     * @throws Trouble when parts are missing or the circuit has no solution
     */
    public static function nominal(Plan $plan, Run $run): RunResult
    {
        $island = self::islandOf($plan, $run);
        $network = Wiring::of($plan, $island);
        $solution = Newton::solve($network);
        $light = Readings::light($network, $solution);

        return Readings::of($plan, $island, $network, $solution, [$light, $light], [])[$run->id];
    }

    /** @throws Trouble when parts are missing */
    public static function network(Plan $plan, Run $run): Network
    {
        return Wiring::of($plan, self::islandOf($plan, $run));
    }

    /** @return list<Network> of every island */
    public static function networks(Plan $plan): array
    {
        return array_map(static fn (Island $i): Network => Wiring::of($plan, $i), Island::all($plan));
    }

    /** Same circuit, same engine, same fingerprint: names, notes and other islands play no part. */
    public static function fingerprint(Plan $plan, Island $island): string
    {
        $feeds = array_filter($plan->feeds, static fn ($f): bool => isset($island->parts[$f->run]));
        $cables = $island->cables($plan);
        $devices = array_fill_keys([...$island->supplies, ...$island->controllers], true);
        $kit = [];
        foreach ([...$cables, ...array_intersect_key($plan->supplies, $devices), ...array_intersect_key($plan->controllers, $devices)] as $thing) {
            $kit[$thing->kit] = true;
        }
        foreach ($island->parts as $parts) {
            $kit[(string) $parts->run->strip] = true;
        }
        $of = [];
        foreach (Document::items($plan) as $key => $item) {
            [$list, $id] = explode('/', $key, 2);
            $mine = match ($list) {
                'runs' => isset($island->parts[$id]),
                'feeds' => isset($feeds[$id]),
                'supplies', 'controllers' => isset($devices[$id]),
                'cables' => isset($cables[$id]),
                'splices' => array_filter($cables, static fn ($c): bool => $c->to === $id) !== [],
                'kit' => isset($kit[$id]),
                default => false,
            };
            if ($mine) {
                $of[$key] = $item;
            }
        }

        return hash('sha256', Json::compact([self::VERSION, $plan->limits->cableCelsius, $of]));
    }

    /**
     * Feeds that are worth leaving open: some tail could then carry too much. No group has more across it than the
     * greatest EMF; what they all take at that is more than any tail will ever carry, and mostly less than every tail may.
     *
     * @return list<string>
     */
    private static function openable(Plan $plan, Island $island, Network $network): array
    {
        $most = array_sum(array_map(static fn (Draw $d): float => $d->amps, $network->draws));
        $emf = max(array_map(static fn (Source $s): float => $s->emf, $network->sources) ?: [0.0]);
        foreach ($network->stretches as $stretch) {
            foreach ($stretch->loads as $load) {
                $most += $stretch->groups * $load->evaluate([$emf])[0][0];
            }
        }
        $feeds = [];
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

    /** @throws Trouble that says what the run lacks */
    public static function islandOf(Plan $plan, Run $run): Island
    {
        $lacking = Parts::lacking($plan, $run);
        $short = array_map(static fn (string $id): string => 'enough cores or channels at '.strtoupper($id), array_keys(Parts::short($plan, $run)));

        return Island::of($plan, $run)
            ?? throw Trouble::at($run->id, $run->name().' cannot be computed yet. It lacks '.implode(', ', [...$lacking, ...$short]).'.');
    }
}
