<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\CableWay;
use EmberDusk\Survey\Copper;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Input;

/** The numbers of cables that people see, each with its working. */
final readonly class CableFigures
{
    public function __construct(private Plan $plan) {}

    public function cableDrop(CableResult $c): Figure
    {
        $laid = $this->plan->cables[$c->id];
        $conductor = $this->plan->cable($laid->kit)?->conductor;
        [$first, $last] = $this->plan->ways()->joints($laid);
        $cable = "solver.cables.{$c->id}";

        return new Figure(
            label: 'Lost in ' . strtoupper($c->id),
            value: $c->drop,
            unit: 'V',
            decimals: 2,
            formula: '(Io + Ib) * (j1 + j2 + r * (1 + a * (T - 20)) * L)',
            inputs: [
                new Input('Io', 'amps out', $c->outAmps, 'A', path: "{$cable}.outAmps"),
                new Input('Ib', 'return amps, highest core', $c->backAmps, 'A', path: "{$cable}.backAmps"),
                $this->joint('j1', 'at its start', $laid, $laid->from, $first),
                $this->joint('j2', 'at its end', $laid, $laid->to, $last),
                new Input(
                    'r',
                    'core at 20 °C',
                    $conductor->ohmsPerMetre ?? 0.0,
                    'ohm/m',
                    path: "shelf.{$laid->kit}.conductor.ohmsPerMetre",
                ),
                new Input('a', 'copper', Copper::TEMPERATURE_COEFFICIENT, '1/K', path: 'IEC 60028'),
                new Input('T', 'cable', $this->plan->limits->cableCelsius, '°C', path: 'plan.limits.cableCelsius'),
                new Input('L', 'one way', $laid->length, 'm', path: "plan.cables.{$c->id}.length"),
            ],
            assumption: RunFigures::SOLVED,
            source: $conductor->resistanceSource ?? '',
        );
    }

    private function joint(string $key, string $where, LaidCable $laid, string $end, float $ohms): Input
    {
        $chosen = $this->plan->connector($laid->joint);
        [$what, $path] = match (true) {
            $chosen !== null => [$chosen->name(), "shelf.{$laid->joint}.ohms"],
            $this->plan->ways()->terminals($end) => ['terminal', 'the trade: a screw or lever terminal'],
            default => ['soldered', 'the trade: a soldered joint'],
        };

        return new Input($key, "joint {$where}, {$what}", $ohms, 'ohm', path: $path);
    }

    public static function cableAmps(CableResult $c): Figure
    {
        return new Figure(
            label: 'Highest current in a core of ' . strtoupper($c->id),
            value: $c->amps(),
            unit: 'A',
            decimals: 2,
            formula: 'max(Io, Ib)',
            inputs: [
                new Input('Io', 'amps out', $c->outAmps, 'A', path: "solver.cables.{$c->id}.outAmps"),
                new Input(
                    'Ib',
                    'return amps, highest core',
                    $c->backAmps,
                    'A',
                    path: "solver.cables.{$c->id}.backAmps",
                ),
            ],
            assumption: RunFigures::SOLVED,
        );
    }

    /** Calculated length of an unmeasured cable from the positions of its ends; null if unknown. */
    public function way(LaidCable $cable): ?Figure
    {
        $way = $cable->reckoned && !$cable->existing ? CableWay::between($this->plan, $cable->from, $cable->to) : null;
        if ($way === null || abs($way->metres() - $cable->length) > 0.005) {
            return null;
        }

        return new Figure(
            label: 'Length',
            value: $cable->length,
            unit: 'm',
            decimals: 2,
            formula: 'max(s, a + u + s)',
            inputs: [
                new Input('a', 'along the walls', $way->along, 'm', path: 'notes: the shorter way round'),
                new Input(
                    'u',
                    $way->heights ? 'up or down' : 'up or down: a height is not known',
                    $way->rise,
                    'm',
                    path: 'notes: up, of both ends',
                ),
                new Input('s', 'to work with at both ends', CableWay::SLACK, 'm', path: 'the trade: slack'),
            ],
            assumption: 'Calculated from the positions of both ends. Measured lengths stay, even if the ends move.',
            source: 'common practice, no source',
        );
    }

    /** Metres of cable in the entire job. */
    public function copper(): Figure
    {
        $inputs = [];
        foreach ($this->plan->cables as $id => $cable) {
            $inputs[] = new Input(
                strtoupper(str_replace('-', '_', $id)),
                $this->plan->cable($cable->kit)?->name() ?? '',
                $cable->length,
                'm',
                path: "plan.cables.{$id}.length",
            );
        }

        return new Figure(
            label: 'Cable',
            value: array_sum(array_map(static fn($c): float => $c->length, $this->plan->cables)),
            unit: 'm',
            decimals: 1,
            formula: Input::sum($inputs),
            inputs: $inputs,
            assumption: 'One-way lengths, no slack.',
        );
    }
}
