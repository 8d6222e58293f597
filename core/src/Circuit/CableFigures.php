<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Plan\Plan;
use EmberDusk\Survey\Copper;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Input;

/** The numbers of cables that people see, each with its working. */
final readonly class CableFigures
{
    public static function cableDrop(Plan $plan, CableResult $c): Figure
    {
        $laid = $plan->cables[$c->id];
        $conductor = $plan->cable($laid->kit)?->conductor;

        return new Figure(
            'Lost in ' . strtoupper($c->id),
            $c->drop,
            'V',
            2,
            '(Io + Ib) * (2 * j + r * (1 + a * (T - 20)) * L)',
            [
                new Input('Io', 'amps out', $c->outAmps, 'A'),
                new Input('Ib', 'amps back, fullest return', $c->backAmps, 'A'),
                new Input('j', 'a soldered joint', Wiring::SOLDER, 'ohm'),
                new Input('r', 'core at 20 °C', $conductor->ohmsPerMetre ?? 0.0, 'ohm/m'),
                new Input('a', 'copper', Copper::TEMPERATURE_COEFFICIENT, '1/K'),
                new Input('T', 'cable', $plan->limits->cableCelsius, '°C'),
                new Input('L', 'one way', $laid->length, 'm'),
            ],
            RunFigures::SOLVED,
            $conductor->resistanceSource ?? '',
        );
    }

    public static function cableAmps(CableResult $c): Figure
    {
        return new Figure(
            'Fullest core of ' . strtoupper($c->id),
            $c->amps(),
            'A',
            2,
            'max(Io, Ib)',
            [
                new Input('Io', 'amps out', $c->outAmps, 'A'),
                new Input('Ib', 'amps back, fullest return', $c->backAmps, 'A'),
            ],
            RunFigures::SOLVED,
        );
    }

    /** Metres of cable in the whole job. */
    public static function copper(Plan $plan): Figure
    {
        $inputs = [];
        foreach ($plan->cables as $id => $cable) {
            $inputs[] = new Input(
                strtoupper(str_replace('-', '_', $id)),
                $plan->cable($cable->kit)?->name() ?? '',
                $cable->length,
                'm',
            );
        }

        return new Figure(
            'Cable',
            array_sum(array_map(static fn($c): float => $c->length, $plan->cables)),
            'm',
            1,
            implode(' + ', array_map(static fn(Input $i): string => $i->symbol, $inputs)) ?: '0',
            $inputs,
            'One-way lengths, no slack.',
        );
    }
}
