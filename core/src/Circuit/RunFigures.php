<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Kit\Strip;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Input;
use EmberDusk\Values\Range;

/** The numbers of a run that people see, each with its working. */
final readonly class RunFigures
{
    /** Label of a load: with all at full, and under a limit. */
    public const LOAD = ['Load, all full', 'Load, limit set'];

    /** Label of the load of several runs: without fixtures. */
    public static function loads(Plan $plan): string
    {
        return $plan->fixtures === [] ? self::LOAD[0] : 'Load of the strips, all full';
    }

    public const SOLVED = 'Volts and amps from the solved circuit: every channel that is commanded on, nominal rails and supply.';

    /**
     * Nominal load: the strip's label, before any drop.
     *
     * @param  float  $cap  share of it that a limit set in the controller leaves
     */
    public static function load(Strip $strip, float $metres, string $label, float $cap = 1.0): Figure
    {
        if ($cap < 1) {
            return new Figure(
                label: $label,
                value: $strip->wattsPerMetre() * $metres * $cap,
                unit: 'W',
                decimals: 1,
                formula: 'w * L * c',
                inputs: [
                    new Input(
                        'w',
                        'strip, all channels',
                        $strip->wattsPerMetre(),
                        'W/m',
                        path: 'shelf.wattsPerMetre()',
                    ),
                    new Input('L', 'lit length, whole pieces', $metres, 'm', path: 'plan.cutMarks(run).length()'),
                    new Input('c', 'limit set in the controller', $cap, '', path: 'run.cap'),
                ],
                assumption: 'Nominal: as labelled, before any drop, on average with the limit set.',
                source: 'common practice, no source',
            );
        }

        return new Figure(
            label: $label,
            value: $strip->wattsPerMetre() * $metres,
            unit: 'W',
            decimals: 1,
            formula: 'w * L',
            inputs: [
                new Input('w', 'strip, all channels', $strip->wattsPerMetre(), 'W/m', path: 'shelf.wattsPerMetre()'),
                new Input('L', 'lit length, whole pieces', $metres, 'm', path: 'plan.cutMarks(run).length()'),
            ],
            assumption: 'Nominal: as labelled, before any drop.',
            source: 'common practice, no source',
        );
    }

    public static function darkest(RunResult $r): Figure
    {
        $group = $r->darkestGroup();

        return new Figure(
            label: 'Darkest light',
            value: $r->darkest(),
            unit: 'of full',
            decimals: 2,
            formula: 'I / In',
            inputs: [
                new Input(
                    'I',
                    sprintf('amps of the group at %.2f m', ($group + 0.5) * $r->pitch),
                    $r->groupAmps($group),
                    'A',
                    path: "solver.groupAmps({$group})",
                ),
                new Input('In', 'its nominal amps', $r->nominalAmps(), 'A', path: 'solver.nominalAmps()'),
            ],
            assumption: self::SOLVED . ' Range: strip copper ±10 %, supply ±1 %.',
            range: $r->darkestRange(),
        );
    }

    public static function evenness(RunResult $r): Figure
    {
        return new Figure(
            label: 'Evenness',
            value: $r->evenness(),
            unit: '',
            decimals: 2,
            formula: 'd / b',
            inputs: [
                new Input('d', 'darkest group', $r->darkest(), 'of full', path: 'solver.darkest()'),
                new Input('b', 'brightest group', $r->brightest(), 'of full', path: 'solver.brightest()'),
            ],
            assumption: self::SOLVED . ' Range: strip copper ±10 %, supply ±1 %.',
            source: 'limits: common practice, no source',
            range: $r->evennessRange(),
        );
    }

    public static function seam(RunResult $r): Figure
    {
        $last = max(0, count($r->light) - 1);
        [$a, $b] = [$r->light[0] ?? 0.0, $r->light[$last] ?? 0.0];
        $range = $r->seamRange();

        return new Figure(
            label: 'Seam',
            value: 100 * $r->seam(),
            unit: '%',
            decimals: 1,
            formula: '100 * (b - d) / b',
            inputs: [
                new Input('b', 'brighter end', max($a, $b), 'of full', path: 'solver.light.' . ($a >= $b ? 0 : $last)),
                new Input('d', 'darker end', min($a, $b), 'of full', path: 'solver.light.' . ($a >= $b ? $last : 0)),
            ],
            assumption: self::SOLVED,
            source: 'limit: common practice, no source',
            range: new Range(100 * $range->low, 100 * $range->high),
        );
    }

    public static function drop(RunResult $r): Figure
    {
        $feed = $r->farthestFeed();

        return new Figure(
            label: 'Voltage drop in the cables',
            value: $feed->lost(),
            unit: 'V',
            decimals: 2,
            formula: 'Vs - Vf',
            inputs: [
                new Input('Vs', 'at the supply', $feed->supplyVolts, 'V', path: "solver.feeds.{$feed->id}.supplyVolts"),
                new Input(
                    'Vf',
                    'at feed ' . strtoupper($feed->id) . ', fewest volts',
                    $feed->volts,
                    'V',
                    path: "solver.feeds.{$feed->id}.volts",
                ),
            ],
            assumption: self::SOLVED,
            source: 'limit: IEC 60364-7-715 (from memory)',
        );
    }

    public static function controllerAmps(RunResult $r, string $name): Figure
    {
        $inputs = [];
        foreach ($r->channelAmps as $n => $amps) {
            $inputs[] = new Input('I' . ($n + 1), 'channel ' . ($n + 1), $amps, 'A', path: "solver.channelAmps.{$n}");
        }

        return new Figure(
            label: $name . ' carries',
            value: array_sum($r->channelAmps),
            unit: 'A',
            decimals: 2,
            formula: Input::sum($inputs),
            inputs: $inputs,
            assumption: self::SOLVED,
        );
    }

    /** How far the mix of all channels at full wanders along the run, in steps of 0.0011 u'v'. */
    public static function shift(RunResult $r, Strip $strip): Figure
    {
        $seen = self::seen($r, $strip);
        $brightest = $seen[(int) array_search(max($r->light ?: [0.0]), $r->light, true)] ?? null;
        $apart = 0.0;
        $at = 0;
        foreach ($seen as $group => $colour) {
            if ($brightest !== null && $colour->apart($brightest) > $apart) {
                $apart = $colour->apart($brightest);
                $at = $group;
            }
        }
        [$u, $v] = $brightest?->uv() ?? [0.0, 0.0];
        [$p, $q] = ($seen[$at] ?? null)?->uv() ?? [$u, $v];

        return new Figure(
            label: 'Colour shift',
            value: $apart / Colour::STEP,
            unit: 'steps',
            decimals: 1,
            formula: 'sqrt((u - p) * (u - p) + (v - q) * (v - q)) / s',
            inputs: [
                new Input(
                    'u',
                    "u' at the brightest place",
                    $u,
                    '',
                    path: 'solver: its brightest group, channels mixed by their light',
                ),
                new Input('v', "v' there", $v, '', path: 'solver: its brightest group, channels mixed by their light'),
                new Input(
                    'p',
                    sprintf("u' at %.2f m", ($at + 0.5) * $r->pitch),
                    $p,
                    '',
                    path: 'solver: its group of the most other colour',
                ),
                new Input('q', "v' there", $q, '', path: 'solver: its group of the most other colour'),
                new Input('s', 'one SDCM step', Colour::STEP, '', path: 'the trade: one SDCM step'),
            ],
            assumption: self::SOLVED . ' The channels’ colours are those on the shelf, mixed by their light.',
            source: 'CIE 1976 u’v’ (from memory)',
        );
    }

    /** @return list<Colour> of each group */
    public static function seen(RunResult $r, Strip $strip): array
    {
        $channels = array_map(static fn($c): Colour => Colour::ofHex($c->colour), $strip->channels);
        if (count($channels) === 1) {
            return array_fill(0, count($r->light), Colour::mix($channels, [1.0]));
        }

        // In a scene some channels may be dark all along.
        return array_map(
            static fn(int $g): Colour => Colour::mix(
                $channels,
                array_map(static fn(int $n): float => $r->channelLight[$n][$g] ?? 0.0, array_keys($channels)),
            ),
            array_keys($r->light),
        );
    }

    /** Heat that the profile or the wall must take from the strip, LEDs and copper together. */
    public static function heat(RunResult $r): Figure
    {
        $metres = $r->metres();

        return new Figure(
            label: 'Heat of the strip',
            value: ($r->loadWatts + $r->railWatts) / $metres,
            unit: 'W/m',
            decimals: 1,
            formula: '(P + Pr) / L',
            inputs: [
                new Input('P', 'LEDs and their resistors', $r->loadWatts, 'W', path: 'solver.loadWatts'),
                new Input('Pr', 'copper of the strip', $r->railWatts, 'W', path: 'solver.railWatts'),
                new Input('L', 'lit length', $metres, 'm', path: 'solver.metres()'),
            ],
            assumption: self::SOLVED . ' Mean over the run; emitted light is counted as heat.',
        );
    }

    /** Watts that a supply must be rated for. */
    public static function asks(Strip $strip, Plan $plan, Run $run): Figure
    {
        $metres = $plan->of($run)->litLength();
        $watts = $strip->wattsPerMetre() * $metres * $run->cap;

        return new Figure(
            label: 'Supply needed',
            value: $plan->limits->rating($watts),
            unit: 'W',
            decimals: 0,
            formula: 'w * L * c / (1 - h)',
            inputs: [
                new Input('w', 'strip, all channels', $strip->wattsPerMetre(), 'W/m', path: 'shelf.wattsPerMetre()'),
                new Input('L', 'lit length, whole pieces', $metres, 'm', path: 'plan.cutMarks(run).length()'),
                new Input('c', 'limit set in the controller', $run->cap, '', path: 'run.cap'),
                new Input('h', 'headroom', $plan->limits->headroom, '', path: 'plan.limits.headroom'),
            ],
            assumption: $run->cap < 1 ? 'With the limit set.' : 'Everything at full.',
            source: 'common practice, no source',
        );
    }
}
