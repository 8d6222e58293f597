<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use EmberDusk\Circuit\Island;
use EmberDusk\Circuit\WiredRun;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;

/** An island as a picture to hold probes to: supplies, controllers, cables between them, runs with their pieces and feeds. */
final readonly class WiringRows
{
    public static function for(Plan $plan, Island $island, Run $run): BenchWiring
    {
        return new BenchWiring(
            devices: [
                ...array_map(static fn(string $id): BenchDevice => self::device($id, 'supply'), $island->supplies),
                ...array_map(
                    static fn(string $id): BenchDevice => self::device($id, 'controller'),
                    $island->controllers,
                ),
            ],
            cables: array_values(
                array_map(
                    static fn(LaidCable $c): BenchCable => new BenchCable(
                        id: $c->id,
                        from: $c->from,
                        to: $c->to,
                        run: $plan->feeds[$c->to]->run ?? '',
                        at: self::at($plan, $c),
                    ),
                    $island->cables($plan),
                ),
            ),
            runs: array_values(
                array_map(
                    static fn(WiredRun $p): BenchStrip => new BenchStrip(
                        id: $p->run->id,
                        name: $p->run->name(),
                        length: $p->marks->length(),
                        said: $plan->terms->say($p->marks->length()),
                        pieces: array_map(static fn(int $g): float => $g * $p->marks->pitch, $p->marks->groups),
                    ),
                    // The run that is looked at is on top.
                    array_intersect_key($island->parts, [$run->id => true]) + $island->parts,
                ),
            ),
        );
    }

    private static function device(string $id, string $kind): BenchDevice
    {
        return new BenchDevice(id: $id, kind: $kind);
    }

    /** Metres of strip from the run's start to the pad that a cable ends at. */
    private static function at(Plan $plan, LaidCable $cable): ?float
    {
        $feed = $plan->feeds[$cable->to] ?? null;

        if ($feed === null) {
            return null;
        }

        return $plan->of($plan->run($feed->run))->cutMarks()?->position($feed->pad);
    }
}
