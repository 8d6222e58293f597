<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/** Reads from a solved network what people ask for: light, volts, drop and amps by cable, where the watts go. */
final readonly class Readings
{
    /**
     * @param  array{list<float>, list<float>}  $spread
     * @param  list<array<string, float>>  $open  amps by cable with one feed open each
     */
    public static function of(Plan $plan, Run $run, Parts $parts, Network $network, Solution $solution, array $spread, array $open): RunResult
    {
        $source = $network->sources[0];
        $cables = [];
        foreach (self::cores($network, $plan) as $id => $cores) {
            $amps = array_map(static fn (Resistor $r): float => abs($solution->amps($r)), $cores);
            $back = max(array_slice($amps, 1) ?: [0.0]);
            $cables[$id] = new CableResult($id, $amps[0], $back, ($amps[0] + $back) * $cores[0]->ohms,
                max($amps[0], $back, ...array_map(static fn (array $a): float => $a[$id] ?? 0.0, $open)), $cores[0]->ohms);
        }
        $channelAmps = [];
        foreach ($network->resistors as $r) {
            if ($r->part === $run->controller && $r->name !== Wiring::name((string) $run->controller).'_com') {
                $channelAmps[] = $solution->amps($r);
            }
        }

        return new RunResult($parts->strip->pitch, self::light($network, $solution), self::volts($network, $solution),
            self::railAmps($network, $solution), $cables, self::feeds($plan, $parts, $network, $solution), $channelAmps ?: [0.0],
            $solution->volt($source->plus), $solution->delivered($source), $spread, self::balance($run, $network, $solution), $solution->iterations);
    }

    /** @return list<float> relative light by group */
    public static function light(Network $network, Solution $solution): array
    {
        $light = [];
        foreach ($network->stretches as $n => $stretch) {
            $nominal = array_sum(array_map(static fn (Load $l): float => $l->nominalAmps(), $stretch->loads));
            $amps = $solution->groupAmps($n);
            foreach (array_keys($amps[0]) as $g) {
                $light[] = array_sum(array_column($amps, $g)) / $nominal;
            }
        }

        return $light;
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

    /** @return non-empty-list<list<float>> */
    private static function volts(Network $network, Solution $solution): array
    {
        $stretches = array_map($solution->groupVolts(...), array_keys($network->stretches));

        return array_map(
            static fn (int $c): array => array_merge(...array_map(static fn (array $volts): array => $volts[$c] ?? [], $stretches)),
            array_keys($stretches[0] ?? [[]]),
        );
    }

    /** @return list<float> */
    private static function railAmps(Network $network, Solution $solution): array
    {
        $nodes = $solution->nodes();
        $amps = [];
        foreach ($network->stretches as $s) {
            for ($g = 0; $g < $s->groups; $g++) {
                $last = $g === $s->groups - 1;
                $next = $last ? $solution->volt($s->end[0]) : $nodes[$s->node($g + 1, 0)];
                $amps[] = ($nodes[$s->node($g, 0)] - $next) / ($s->plusRail * $s->pitch * ($last ? 0.5 : 1.0));
            }
        }

        return $amps;
    }

    /** @return array<string, FeedResult> */
    private static function feeds(Plan $plan, Parts $parts, Network $network, Solution $solution): array
    {
        $cores = self::cores($network, $plan);
        $feeds = [];
        foreach ($parts->tails as $id => $cable) {
            $pad = $cores[$cable->id];
            $plus = $solution->volt($pad[0]->to);
            $volts = array_map(static fn (Resistor $r): float => $plus - $solution->volt($r->to), array_slice($pad, 1));
            $feeds[$id] = new FeedResult($id, min($volts ?: [0.0]), abs($solution->amps($pad[0])));
        }

        return $feeds;
    }

    private static function balance(Run $run, Network $network, Solution $solution): Balance
    {
        $emf = $inside = 0.0;
        foreach ($network->sources as $source) {
            $amps = $solution->delivered($source);
            $emf += $source->emf * $amps;
            $inside += ($source->emf - $solution->volt($source->plus)) * $amps;
        }
        $cables = $controller = $load = 0.0;
        foreach ($network->resistors as $r) {
            $watts = $solution->amps($r) ** 2 * $r->ohms;
            if ($r->part === $run->controller) {
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

        return new Balance($emf, $inside, $cables, $controller, $solution->railWatts(), $load);
    }
}
