<?php

declare(strict_types=1);

namespace App\Console\Commands;

use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Scene;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\Refusal;

/** Reads --scene and --phase. */
trait PicksPhase
{
    /** @throws Refusal when the job has no such scene */
    protected function scene(Plan $plan): ?Scene
    {
        $asked = $this->option('scene');
        if (!is_string($asked) || $asked === '') {
            return null;
        }
        foreach ($plan->scenes as $scene) {
            if ($scene->id === $asked || mb_strtolower($scene->name) === mb_strtolower($asked)) {
                return $scene;
            }
        }

        throw new InvalidInput(
            "--scene: the job has no “{$asked}”. It has " .
                (implode(', ', array_map(static fn(Scene $s): string => $s->name, $plan->scenes)) ?: 'no scenes') .
                '.',
        );
    }

    protected function phase(): int
    {
        $phase = $this->option('phase');
        if (!is_string($phase) || preg_match('/^[1-9]\d?$/', $phase) !== 1) {
            throw new InvalidInput('--phase takes a whole number from 1.');
        }

        return (int) $phase;
    }
}
