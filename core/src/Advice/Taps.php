<?php

declare(strict_types=1);

namespace EmberDusk\Advice;

use EmberDusk\Kit\Cable;
use EmberDusk\Plan\Routes\ExistingLegs;
use EmberDusk\Plan\Run;

/** Surveyed legs that could run past a run, each as a change that taps it. */
final readonly class Taps
{
    /** @return list<array{label: string, change: array<string, mixed>}> */
    public static function of(Work $work, Run $run): array
    {
        $strip = $work->plan->strip($run->strip);
        if ($strip === null || $work->plan->origin($run) === null) {
            return [];
        }
        $drop = null;
        foreach ($work->shelf->ofKind('cable') as $snapshot) {
            if (
                $snapshot->entry instanceof Cable &&
                $snapshot->entry->cores === count($strip->channels) + 1 &&
                $snapshot->entry->conductor->capacity !== null
            ) {
                $drop ??= $snapshot->entry;
            }
        }
        $taps = [];
        if ($drop === null) {
            return [];
        }
        foreach (ExistingLegs::of($work->plan, $run, $work->shelf) as $name => $leg) {
            $taps[] = [
                'label' => "Tap leg {$name} at both ends of each section",
                'change' => [
                    'kind' => 'TapLeg',
                    'run' => $run->id,
                    'leg' => $leg->entry->id(),
                    'drop' => $drop->id(),
                    'lead' => ExistingLegs::LEAD,
                    'existing' => true,
                ],
            ];
        }

        return $taps;
    }
}
