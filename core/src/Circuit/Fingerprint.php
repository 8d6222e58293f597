<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

use EmberDusk\Formats\Json;
use EmberDusk\Plan\Document;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Plan\Scene;
use EmberDusk\Plan\Segment;

/** Tells circuits apart: names, notes and other islands play no part. */
final readonly class Fingerprint
{
    /** Same circuit, same engine, same fingerprint: names, notes and other islands play no part. */
    public static function for(Plan $plan, Island $island, ?Scene $scene = null): string
    {
        $feeds = array_filter($plan->feeds, static fn($f): bool => isset($island->parts[$f->run]));
        $cables = $island->cables($plan);
        $devices = array_fill_keys([...$island->supplies, ...$island->controllers], true);
        $kit = [];
        foreach (
            [
                ...$cables,
                ...array_intersect_key($plan->supplies, $devices),
                ...array_intersect_key($plan->controllers, $devices),
            ]
            as $thing
        ) {
            $kit[$thing->kit] = true;
        }
        foreach ($cables as $cable) {
            $kit[$cable->joint ?? ''] = $kit[$cable->fuse ?? ''] = true;
        }
        foreach ($island->fixtures as $fitting) {
            $kit[$fitting->kit] = true;
        }
        foreach ($island->parts as $parts) {
            $kit[(string) $parts->run->strip] = true;
        }
        $of = [];
        foreach (Document::items($plan) as $key => $item) {
            [$list, $id] = explode('/', $key, 2);
            $mine = match ($list) {
                'runs' => isset($island->parts[$id]),
                'feeds' => isset($feeds[$id]),
                'supplies', 'controllers' => isset($devices[$id]),
                'cables' => isset($cables[$id]),
                'fixtures' => isset($island->fixtures[$id]),
                'splices' => array_filter($cables, static fn($c): bool => $c->to === $id) !== [],
                'kit' => isset($kit[$id]),
                default => false,
            };
            if ($mine) {
                $of[$key] = $item;
            }
        }

        $followed = array_map(
            static fn(Run $r): ?string => isset($island->parts[$plan->of($r)->before()?->id]) ? $r->controller : null,
            array_values($plan->runs),
        );

        // Names of segments are no part of the circuit.
        $segments = array_map(
            static fn(Segment $s): array => [$s->run, $s->first, $s->last],
            array_filter(
                $plan->segments,
                static fn(Segment $s): bool => isset($island->parts[$s->run], $scene->levels[$s->id]),
            ),
        );

        return hash(
            'sha256',
            Json::compact([
                Engine::VERSION,
                $plan->limits->cableCelsius,
                $of,
                array_values(array_filter($followed)),
                $scene?->levels,
                ...$segments === [] ? [] : [$segments],
            ]),
        );
    }
}
