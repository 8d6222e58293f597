<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Kit\Strip;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Input;

/** The load of runs as their labels say, with its working. */
final readonly class LoadFigures
{
    /** Label of a load: with all at full, and under a limit. */
    public const LOAD = ['Load, all full', 'Load, limit set'];

    /** Label of the load of several runs: without fixtures. */
    public static function loads(Plan $plan): string
    {
        return $plan->fixtures === [] ? self::LOAD[0] : 'Load of the strips, all full';
    }

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
