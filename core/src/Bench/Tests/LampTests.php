<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Tests;

use EmberDusk\Plan\Fitting;
use EmberDusk\Plan\LightNames;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\ControlLine;

/** Tests of fixtures under a dimming module, after they are mounted: all lit, lowest level, range (common practice, no source). */
final readonly class LampTests
{
    private const MAINS = 'Covers closed before mains is switched on; mains terminals are for a licensed person, and local rules decide.';

    /** Further tests by dimming method. */
    private const OF = [
        'phase-cut' => [
            'edge' => [
                'title' => 'edge and hum',
                'do' => 'At half: listen at the lamps and at the module.',
                'see' => 'Quiet, and steady light.',
                'otherwise' => 'Hum or flicker: set the module to the other edge (trailing for most LED lamps).',
            ],
        ],
        '0-10 V' => [
            'line' => [
                'title' => 'control line',
                'do' => 'Measure the control line at the last fixture, at full and at the lowest level.',
                'see' => 'About 10 V at full and 1 V at the lowest level, + on the marked core.',
                'otherwise' => 'Near 0 V: a short, or the poles swapped at one fixture. Always full: the line is open.',
            ],
        ],
        'dali' => [
            'addresses' => [
                'title' => 'addresses and groups',
                'do' => 'Let the module search, then let each found address blink; assign the groups.',
                'see' => 'As many addresses as fixtures, each at its place.',
                'otherwise' =>
                    'Fewer: no bus voltage at that fixture (9.5 V to 22.5 V), or an address twice. More: an old installation on the bus.',
            ],
        ],
    ];

    /** The schedule's step in which they are done. */
    public static function step(Fitting $fitting): string
    {
        return "second-{$fitting->id}";
    }

    /** @return list<BenchTest> none without a module */
    public static function for(Plan $plan, Fitting $fitting): array
    {
        $module = $plan->module($fitting->module);
        if ($module === null) {
            return [];
        }
        $name = (new LightNames($plan))->of((string) $fitting->module);
        $tests = [];
        $line = ControlLine::of($plan, (string) $fitting->module);
        $addresses = $line?->addresses($fitting->id) ?? '';
        foreach (
            [...self::all($fitting), ...self::OF[ControlLine::method($plan, (string) $fitting->module)] ?? []]
            as $key => $test
        ) {
            $tests[] = new BenchTest(
                id: self::step($fitting) . "/{$key}",
                step: self::step($fitting),
                of: $fitting->id,
                title: "{$name}: {$test['title']}",
                asks: 'tick',
                by: 'the module’s own key or push-button, before it is joined',
                do: $test['do'] . ($key === 'addresses' ? ' For these: ' . $addresses . '.' : ''),
                see: $test['see'],
                otherwise: $test['otherwise'],
                caution: self::MAINS,
            );
        }

        return $tests;
    }

    /** @return array<string, array{title: string, do: string, see: string, otherwise: string}> */
    private static function all(Fitting $fitting): array
    {
        return [
            'lit' => [
                'title' => 'all on, all off',
                'do' => "Switch {$fitting->count} lamps on and off by the module.",
                'see' => "All {$fitting->count} light, and all go dark without an afterglow.",
                'otherwise' =>
                    'One stays dark: its connection. All stay dark: mains, fuse or module. A glow when off: the load is below the least of the module.',
            ],
            'low' => [
                'title' => 'lowest level',
                'do' => 'Dim slowly to the lowest level and wait a minute; then switch off and on at that level.',
                'see' => 'Even and steady light; every lamp starts.',
                'otherwise' =>
                    'Flicker, or lamps that stay off: raise the least level in the module, or check its least load.',
            ],
        ];
    }
}
