<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

/**
 * A run over the entire dimming period, from its phases: light and supply averaged over time, drop and amps of the worst phase, volts and rail amps
 * of the first, when every commanded channel conducts.
 */
final readonly class PhaseAverage
{
    /** @param  non-empty-list<array{Phase, RunResult}>  $phases */
    public static function run(array $phases): RunResult
    {
        $first = $phases[0][1];
        $channelLight = $nominal = $cables = $feeds = $supplies = $controllers = [];
        $amps = $load = $rail = $peak = 0.0;
        $volts = INF;
        foreach ($phases as [$phase, $result]) {
            foreach ($result->channelLight as $c => $light) {
                $nominal[$c] = $result->nominal[$c];
                foreach ($light as $g => $value) {
                    $channelLight[$c][$g] = ($channelLight[$c][$g] ?? 0.0) + $phase->share * $value;
                }
            }
            foreach ($result->cables as $id => $cable) {
                $cables[$id] = isset($cables[$id]) ? $cables[$id]->most($cable) : $cable;
            }
            foreach ($result->feeds as $id => $feed) {
                $feeds[$id] = isset($feeds[$id]) && $feeds[$id]->lost() >= $feed->lost() ? $feeds[$id] : $feed;
            }
            foreach ($result->supplies as $id => $supply) {
                $supplies[$id] = isset($supplies[$id])
                    ? $supplies[$id]->and($supply, $phase->share)
                    : $supply->shared($phase->share);
            }
            foreach ($result->controllers as $id => $controller) {
                $controllers[$id] = isset($controllers[$id]) ? $controllers[$id]->most($controller) : $controller;
            }
            $amps += $phase->share * $result->supplyAmps;
            $load += $phase->share * $result->loadWatts;
            $rail += $phase->share * $result->railWatts;
            $peak = max($peak, $result->supplyAmps);
            $volts = min($volts, $result->supplyVolts);
        }
        $light = [];
        foreach ($channelLight[array_key_first($channelLight) ?? 0] ?? [] as $g => $_) {
            $light[] =
                array_sum(array_map(static fn(array $of, float $n): float => $of[$g] * $n, $channelLight, $nominal)) /
                array_sum($nominal);
        }

        return new RunResult(
            pitch: $first->pitch,
            light: $light,
            volts: $first->volts,
            railAmps: $first->railAmps,
            cables: $cables,
            feeds: $feeds,
            channelAmps: $first->channelAmps,
            supplyVolts: $volts,
            supplyAmps: $amps,
            spread: [$light, $light],
            balance: $first->balance,
            loadWatts: $load,
            railWatts: $rail,
            iterations: $first->iterations,
            channelLight: array_map(array_values(...), $channelLight),
            nominal: $nominal,
            peakAmps: $peak,
            supplies: $supplies,
            controllers: $controllers,
        );
    }
}
