<?php

declare(strict_types=1);

namespace App\Screens\Wire;

use EmberDusk\Job\JobState;
use EmberDusk\Plan\LightNames;

/** The job's scenes, and the settable parts: every controller's channels, every pixel run, every dimming module. */
final readonly class SceneRows
{
    /** @return list<SceneRow> */
    public static function for(JobState $state): array
    {
        $rows = [];
        foreach ($state->plan->scenes as $id => $scene) {
            $rows[] = new SceneRow(
                id: $id,
                name: $scene->name,
                levels: array_map(
                    static fn(string $of, array $duties): SceneLevel => new SceneLevel(of: $of, duties: $duties),
                    array_keys($scene->levels),
                    array_values($scene->levels),
                ),
            );
        }

        return $rows;
    }

    /** @return list<DimmedRow> */
    public static function dimmed(JobState $state): array
    {
        $plan = $state->plan;
        $rows = [];
        foreach ($plan->runs as $run) {
            $strip = $plan->strip($run->strip);
            if ($strip === null) {
                continue;
            }
            $id = $strip->switched() ? $run->controller : $run->id;
            if ($id !== null) {
                if (isset($rows[$id])) {
                    $name = "{$rows[$id]->name}, {$run->name()}";
                } else {
                    $name = ($strip->switched() ? strtoupper($id) . ' ' : '') . $run->name();
                }
                $rows[$id] = new DimmedRow(
                    id: $id,
                    name: $name,
                    channels: array_map(static fn($c): string => $c->name, $strip->channels),
                );
                $segments = [];
                foreach ($plan->segments as $segment) {
                    if ($segment->run === $id) {
                        $segments[$segment->id] = new DimmedRow(
                            id: $segment->id,
                            name: "{$run->name()}, {$segment->name}",
                            channels: $rows[$id]->channels,
                        );
                    }
                }
                // A run in segments is set by them.
                $rows = $segments === [] ? $rows : array_diff_key($rows, [$id => true]) + $segments;
            }
        }

        foreach (array_keys($plan->modules) as $id) {
            if ((new LightNames($plan))->of($id) !== strtoupper($id)) {
                $rows[$id] = new DimmedRow(
                    id: $id,
                    name: strtoupper($id) . ' ' . (new LightNames($plan))->of($id),
                    channels: ['level'],
                );
            }
        }

        return array_values($rows);
    }
}
