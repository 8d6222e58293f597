<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/** Reads from a solved network what people ask for: light, volts, drop and amps by cable, where the watts go. */
final readonly class Readings
{
    private function __construct(private Network $network, private Solution $solution) {}

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
        return (new self($network, $solution))->all($plan, $island, $spread, $open);
    }

    /**
     * @param  list<array<string, list<float>>>  $spread  light by run, at poor and at rich conditions
     * @param  array<string, array<string, float>>  $open  amps by cable in other states, by what they are: {@see CableResult}
     * @return array<string, RunResult|FixtureResult> by run and by fitting
     */
    private function all(Plan $plan, Island $island, array $spread, array $open): array
    {
        $cables = $this->cables($plan, $open);
        $balance = $this->balance($plan);
        $supplies = (new DeviceReadings($island, $this->network, $this->solution))->supplies();
        $controllers = (new DeviceReadings($island, $this->network, $this->solution))->controllers();
        $light = self::light($this->network, $this->solution);
        $results = [];
        foreach ($island->parts as $id => $parts) {
            $run = $parts->run;
            $mine = self::stretches($this->network, $id);
            $source = DeviceReadings::source($this->network, (string) $run->supply);
            $way = $parts->trunk === null ? [] : $plan->ways()->wayTo($parts->trunk->to);
            foreach (array_keys($parts->tails) as $feed) {
                $way += $plan->ways()->wayTo($feed);
            }
            $results[$id] = new RunResult(
                pitch: $parts->strip->pitch,
                light: $light[$id] ?? [],
                volts: self::volts($mine, $this->solution),
                railAmps: $this->railAmps($mine),
                cables: array_intersect_key($cables, $way),
                feeds: $this->feeds($plan, $parts),
                channelAmps: $this->channelAmps($run),
                supplyVolts: $this->solution->across($source),
                supplyAmps: $this->solution->delivered($source),
                spread: [$spread[0][$id] ?? [], $spread[1][$id] ?? []],
                balance: $balance,
                loadWatts: array_sum(array_map($this->solution->loadWatts(...), array_keys($mine))),
                railWatts: $this->solution->railWatts(array_keys($mine)),
                iterations: $this->solution->iterations,
                channelLight: self::channelLight($mine, $this->solution),
                nominal: self::nominal($mine),
                supplies: $supplies,
                controllers: $controllers,
            );
        }
        foreach ($this->network->points as $point) {
            $way = array_intersect_key($cables, $plan->ways()->wayTo($point->part));
            [$volts, $amps] = $this->solution->at($point);
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
    private function cables(Plan $plan, array $open): array
    {
        $cables = [];
        foreach (self::cores($this->network, $plan) as $id => $cores) {
            $amps = array_map(fn(Resistor $r): float => abs($this->solution->amps($r)), $cores);
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
    private function channelAmps(Run $run): array
    {
        $amps = [];
        foreach ($this->network->resistors as $r) {
            if ($r->part === $run->controller && $r->name !== Wiring::name((string) $run->controller) . '_com') {
                $amps[] = $this->solution->amps($r);
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
    private function railAmps(array $stretches): array
    {
        $amps = [];
        foreach ($stretches as $n => $s) {
            $plus = $this->solution->plus($n);
            foreach ($plus as $g => $volts) {
                $last = $g === $s->groups - 1;
                $next = $plus[$g + 1] ?? $this->solution->volt($s->end[0]);
                $amps[] = ($volts - $next) / ($s->plusRail * $s->pitch * ($last ? 0.5 : 1.0));
            }
        }

        return $amps;
    }

    /** @return array<string, FeedResult> */
    private function feeds(Plan $plan, WiredRun $parts): array
    {
        $cores = self::cores($this->network, $plan);
        $feeds = [];
        foreach ($parts->tails as $id => $cable) {
            $pad = $cores[$cable->id] ?? [];
            if ($pad === []) {
                continue;
            }
            $plus = $this->solution->volt($pad[0]->to);
            $volts = array_map(fn(Resistor $r): float => $plus - $this->solution->volt($r->to), array_slice($pad, 1));
            $root = $plan->ways()->root($cable->from) ?? '';
            if (isset($plan->controllers[$root])) {
                $root = $plan->ways()->root($plan->ways()->cableTo($root)->from ?? '') ?? '';
            }
            $source = DeviceReadings::source(
                $this->network,
                isset($plan->supplies[$root]) ? $root : (string) $parts->run->supply,
            );
            $feeds[$id] = new FeedResult(
                $id,
                min($volts ?: [0.0]),
                abs($this->solution->amps($pad[0])),
                $this->solution->across($source),
            );
        }

        return $feeds;
    }

    private function balance(Plan $plan): Balance
    {
        $emf = $inside = 0.0;
        foreach ($this->network->sources as $source) {
            $amps = $this->solution->delivered($source);
            $emf += $source->emf * $amps;
            $inside += ($source->emf - $this->solution->across($source)) * $amps;
        }
        $cables = $controller = $load = 0.0;
        foreach ($this->network->resistors as $r) {
            $watts = $this->solution->amps($r) ** 2 * $r->ohms;
            if (isset($plan->controllers[explode(':', $r->part)[0]])) {
                $controller += $watts;
            } else {
                $cables += $watts;
            }
        }
        foreach ($this->network->draws as $draw) {
            $controller += ($this->solution->volt($draw->plus) - $this->solution->volt($draw->minus)) * $draw->amps;
        }
        foreach (array_keys($this->network->stretches) as $n) {
            $load += $this->solution->loadWatts($n);
        }
        foreach ($this->network->points as $point) {
            [$volts, $amps] = $this->solution->at($point);
            $load += $volts * $amps;
        }

        return new Balance(
            emf: $emf,
            source: $inside,
            cables: $cables,
            controller: $controller,
            rails: $this->solution->railWatts(array_keys($this->network->stretches)),
            load: $load,
        );
    }
}
