<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Kit\Strip;
use EmberDusk\Plan\Run;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Input;
use EmberDusk\Values\Range;

/** The numbers of a run that people see, each with its working. */
final readonly class RunFigures
{
    public const SOLVED = 'Volts and amps from the solved circuit: every channel that is commanded on, nominal rails and supply.';

    public function __construct(private RunResult $result) {}

    public function darkest(): Figure
    {
        $group = $this->result->darkestGroup();

        return new Figure(
            label: 'Darkest light',
            value: $this->result->darkest(),
            unit: 'of full',
            decimals: 2,
            formula: 'I / In',
            inputs: [
                new Input(
                    'I',
                    sprintf('amps of the group at %.2f m', ($group + 0.5) * $this->result->pitch),
                    $this->result->groupAmps($group),
                    'A',
                    path: "solver.groupAmps({$group})",
                ),
                new Input('In', 'its nominal amps', $this->result->nominalAmps(), 'A', path: 'solver.nominalAmps()'),
            ],
            assumption: self::SOLVED . ' Range: strip copper ±10 %, supply ±1 %.',
            range: $this->result->darkestRange(),
        );
    }

    public function evenness(): Figure
    {
        return new Figure(
            label: 'Evenness',
            value: $this->result->evenness(),
            unit: '',
            decimals: 2,
            formula: 'd / b',
            inputs: [
                new Input('d', 'darkest group', $this->result->darkest(), 'of full', path: 'solver.darkest()'),
                new Input('b', 'brightest group', $this->result->brightest(), 'of full', path: 'solver.brightest()'),
            ],
            assumption: self::SOLVED . ' Range: strip copper ±10 %, supply ±1 %.',
            source: 'limits: common practice, no source',
            range: $this->result->evennessRange(),
        );
    }

    public function seam(): Figure
    {
        $last = max(0, count($this->result->light) - 1);
        [$a, $b] = [$this->result->light[0] ?? 0.0, $this->result->light[$last] ?? 0.0];
        $range = $this->result->seamRange();

        return new Figure(
            label: 'Seam',
            value: 100 * $this->result->seam(),
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

    public function drop(): Figure
    {
        $feed = $this->result->farthestFeed();

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

    public function controllerAmps(string $name): Figure
    {
        $inputs = [];
        foreach ($this->result->channelAmps as $n => $amps) {
            $inputs[] = new Input('I' . ($n + 1), 'channel ' . ($n + 1), $amps, 'A', path: "solver.channelAmps.{$n}");
        }

        return new Figure(
            label: $name . ' carries',
            value: array_sum($this->result->channelAmps),
            unit: 'A',
            decimals: 2,
            formula: Input::sum($inputs),
            inputs: $inputs,
            assumption: self::SOLVED,
        );
    }

    /** How far the mix of all channels at full wanders along the run, in steps of 0.0011 u'v'. */
    public function shift(Strip $strip): Figure
    {
        $seen = $this->seen($strip);
        $brightest = $seen[(int) array_search(max($this->result->light ?: [0.0]), $this->result->light, true)] ?? null;
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
                    sprintf("u' at %.2f m", ($at + 0.5) * $this->result->pitch),
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
    public function seen(Strip $strip): array
    {
        $channels = array_map(static fn($c): Colour => Colour::ofHex($c->colour), $strip->channels);
        if (count($channels) === 1) {
            return array_fill(0, count($this->result->light), Colour::mix($channels, [1.0]));
        }

        // In a scene some channels may be dark all along.
        return array_map(
            fn(int $g): Colour => Colour::mix(
                $channels,
                array_map(fn(int $n): float => $this->result->channelLight[$n][$g] ?? 0.0, array_keys($channels)),
            ),
            array_keys($this->result->light),
        );
    }

    /** Heat that the profile or the wall must take from the strip, LEDs and copper together. */
    public function heat(): Figure
    {
        $metres = $this->result->metres();

        return new Figure(
            label: 'Heat of the strip',
            value: ($this->result->loadWatts + $this->result->railWatts) / $metres,
            unit: 'W/m',
            decimals: 1,
            formula: '(P + Pr) / L',
            inputs: [
                new Input('P', 'LEDs and their resistors', $this->result->loadWatts, 'W', path: 'solver.loadWatts'),
                new Input('Pr', 'copper of the strip', $this->result->railWatts, 'W', path: 'solver.railWatts'),
                new Input('L', 'lit length', $metres, 'm', path: 'solver.metres()'),
            ],
            assumption: self::SOLVED . ' Mean over the run; emitted light is counted as heat.',
        );
    }
}
