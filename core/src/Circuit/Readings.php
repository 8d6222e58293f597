<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/** Reads from a solved network what people ask for: light, volts, drop and amps by cable, where the watts go. */
final readonly class Readings
{
    /**
     * @param  list<array<string, list<float>>>  $spread  light by run, at poor and at rich conditions
     * @param  array<string, array<string, float>>  $open  amps by cable in other states, by what they are: {@see CableResult}
     * @return array<string, RunResult|FixtureResult> by run and by fitting
     */
    public static function for(
        Plan $plan,
        Island $island,
        Network $network,
        Solution $solution,
        array $spread,
        array $open,
    ): array {
        $cables = self::cables($plan, $network, $solution, $open);
        $balance = self::balance($plan, $network, $solution);
        $supplies = DeviceReadings::supplies($island, $network, $solution);
        $controllers = DeviceReadings::controllers($island, $network, $solution);
        $light = self::light($network, $solution);
        $results = [];
        foreach ($island->parts as $id => $parts) {
            $run = $parts->run;
            $mine = self::stretches($network, $id);
            $source = DeviceReadings::source($network, (string) $run->supply);
            $way = $parts->trunk === null ? [] : $plan->ways()->wayTo($parts->trunk->to);
            foreach (array_keys($parts->tails) as $feed) {
                $way += $plan->ways()->wayTo($feed);
            }
            $results[$id] = new RunResult(
                pitch: $parts->strip->pitch,
                light: $light[$id] ?? [],
                volts: self::volts($mine, $solution),
                railAmps: self::railAmps($network, $mine, $solution),
                cables: array_intersect_key($cables, $way),
                feeds: self::feeds($plan, $parts, $network, $solution),
                channelAmps: self::channelAmps($run, $network, $solution),
                supplyVolts: $solution->across($source),
                supplyAmps: $solution->delivered($source),
                spread: [$spread[0][$id] ?? [], $spread[1][$id] ?? []],
                balance: $balance,
                loadWatts: array_sum(array_map($solution->loadWatts(...), array_keys($mine))),
                railWatts: $solution->railWatts(array_keys($mine)),
                iterations: $solution->iterations,
                channelLight: self::channelLight($mine, $solution),
                nominal: self::nominal($mine),
                supplies: $supplies,
                controllers: $controllers,
            );
        }
        foreach ($network->points as $point) {
            $way = array_intersect_key($cables, $plan->ways()->wayTo($point->part));
            [$volts, $amps] = $solution->at($point);
            $results[$point->part] = new FixtureResult(
                volts: $volts,
                amps: $amps,
                cables: $way,
                least: $point->load->leastVolts,
                watts: $point->load->watts,
                supplies: $supplies,
                controllers: $controllers,
            );
        }

        return $results;
    }

    /** @return array<string, list<float>> relative light of each group, by run */
    public static function light(Network $network, Solution $solution): array
    {
        $light = [];
        foreach ($network->stretches as $n => $stretch) {
            $nominal = array_sum(array_map(static fn(Load $l): float => $l->nominalAmps(), $stretch->loads));
            $amps = $solution->groupAmps($n);
            foreach (array_keys($amps[0]) as $g) {
                $light[$stretch->run][] = array_sum(array_column($amps, $g)) / $nominal;
            }
        }

        return $light;
    }

    /**
     * @param  array<int, Stretch>  $stretches
     * @return array<int, list<float>> by channel (from 0) and group
     */
    private static function channelLight(array $stretches, Solution $solution): array
    {
        $light = [];
        foreach ($stretches as $n => $stretch) {
            foreach ($solution->groupAmps($n) as $c => $amps) {
                $nominal = $stretch->loads[$c]->nominalAmps();
                foreach ($amps as $a) {
                    $light[$stretch->number($c + 1) - 1][] = $a / $nominal;
                }
            }
        }

        return $light;
    }

    /**
     * @param  array<int, Stretch>  $stretches
     * @return array<int, float> amps of a group by channel (from 0)
     */
    private static function nominal(array $stretches): array
    {
        $nominal = [];
        foreach ($stretches as $stretch) {
            foreach ($stretch->loads as $c => $load) {
                $nominal[$stretch->number($c + 1) - 1] = $load->nominalAmps();
            }
        }

        return $nominal;
    }

    /** @return array<string, float> amps of every cable's fullest core */
    public static function cableAmps(Network $network, Solution $solution): array
    {
        $amps = [];
        foreach ($network->resistors as $r) {
            $amps[$r->part] = max($amps[$r->part] ?? 0.0, abs($solution->amps($r)));
        }

        return $amps;
    }

    /**
     * @param  array<string, array<string, float>>  $open
     * @return array<string, CableResult>
     */
    private static function cables(Plan $plan, Network $network, Solution $solution, array $open): array
    {
        $cables = [];
        foreach (self::cores($network, $plan) as $id => $cores) {
            $amps = array_map(static fn(Resistor $r): float => abs($solution->amps($r)), $cores);
            $back = max(array_slice($amps, 1) ?: [0.0]);
            $cables[$id] = (new CableResult(
                id: $id,
                outAmps: $amps[0],
                backAmps: $back,
                drop: ($amps[0] + $back) * $cores[0]->ohms,
                openAmps: max($amps[0], $back),
                coreOhms: $cores[0]->ohms,
                cores: sqrt(array_sum(array_map(static fn(float $a): float => $a ** 2, $amps)) / 2),
            ))->opened($open);
        }

        return $cables;
    }

    /** @return non-empty-list<float> through the controller's channels; the supply's output without one */
    private static function channelAmps(Run $run, Network $network, Solution $solution): array
    {
        $amps = [];
        foreach ($network->resistors as $r) {
            if ($r->part === $run->controller && $r->name !== Wiring::name((string) $run->controller) . '_com') {
                $amps[] = $solution->amps($r);
            }
        }

        return $amps ?: [0.0];
    }

    /** @return array<string, non-empty-list<Resistor>> */
    private static function cores(Network $network, Plan $plan): array
    {
        $cores = [];
        foreach ($network->resistors as $r) {
            if (isset($plan->cables[$r->part])) {
                $cores[$r->part][] = $r;
            }
        }

        return $cores;
    }

    /** @return array<int, Stretch> of a run, by their numbers in the network */
    private static function stretches(Network $network, string $run): array
    {
        return array_filter($network->stretches, static fn(Stretch $s): bool => $s->run === $run);
    }

    /**
     * @param  array<int, Stretch>  $stretches
     * @return non-empty-list<list<float>>
     */
    private static function volts(array $stretches, Solution $solution): array
    {
        $parts = array_map($solution->groupVolts(...), array_keys($stretches));

        return array_map(
            static fn(int $c): array => array_merge(
                ...array_map(static fn(array $volts): array => $volts[$c] ?? [], $parts),
            ),
            array_keys($parts[0] ?? [[]]),
        );
    }

    /**
     * @param  array<int, Stretch>  $stretches
     * @return list<float>
     */
    private static function railAmps(Network $network, array $stretches, Solution $solution): array
    {
        $nodes = $solution->nodes();
        $amps = [];
        foreach ($stretches as $s) {
            for ($g = 0; $g < $s->groups; $g++) {
                $last = $g === $s->groups - 1;
                $next = $last ? $solution->volt($s->end[0]) : $nodes[$s->node($g + 1, 0)];
                $amps[] = ($nodes[$s->node($g, 0)] - $next) / ($s->plusRail * $s->pitch * ($last ? 0.5 : 1.0));
            }
        }

        return $amps;
    }

    /** @return array<string, FeedResult> */
    private static function feeds(Plan $plan, WiredRun $parts, Network $network, Solution $solution): array
    {
        $cores = self::cores($network, $plan);
        $feeds = [];
        foreach ($parts->tails as $id => $cable) {
            $pad = $cores[$cable->id] ?? [];
            if ($pad === []) {
                continue;
            }
            $plus = $solution->volt($pad[0]->to);
            $volts = array_map(static fn(Resistor $r): float => $plus - $solution->volt($r->to), array_slice($pad, 1));
            $root = $plan->ways()->root($cable->from) ?? '';
            if (isset($plan->controllers[$root])) {
                $root = $plan->ways()->root($plan->ways()->cableTo($root)->from ?? '') ?? '';
            }
            $source = DeviceReadings::source(
                $network,
                isset($plan->supplies[$root]) ? $root : (string) $parts->run->supply,
            );
            $feeds[$id] = new FeedResult(
                $id,
                min($volts ?: [0.0]),
                abs($solution->amps($pad[0])),
                $solution->across($source),
            );
        }

        return $feeds;
    }

    private static function balance(Plan $plan, Network $network, Solution $solution): Balance
    {
        $emf = $inside = 0.0;
        foreach ($network->sources as $source) {
            $amps = $solution->delivered($source);
            $emf += $source->emf * $amps;
            $inside += ($source->emf - $solution->across($source)) * $amps;
        }
        $cables = $controller = $load = 0.0;
        foreach ($network->resistors as $r) {
            $watts = $solution->amps($r) ** 2 * $r->ohms;
            if (isset($plan->controllers[explode(':', $r->part)[0]])) {
                $controller += $watts;
            } else {
                $cables += $watts;
            }
        }
        foreach ($network->draws as $draw) {
            $controller += ($solution->volt($draw->plus) - $solution->volt($draw->minus)) * $draw->amps;
        }
        foreach (array_keys($network->stretches) as $n) {
            $load += $solution->loadWatts($n);
        }
        foreach ($network->points as $point) {
            [$volts, $amps] = $solution->at($point);
            $load += $volts * $amps;
        }

        return new Balance(
            emf: $emf,
            source: $inside,
            cables: $cables,
            controller: $controller,
            rails: $solution->railWatts(array_keys($network->stretches)),
            load: $load,
        );
    }
}
