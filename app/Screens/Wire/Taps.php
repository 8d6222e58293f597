<?php

declare(strict_types=1);

namespace App\Screens\Wire;

use EmberDusk\Job\JobState;
use EmberDusk\Kit\Cable;
use EmberDusk\Plan\Changes\Wires\TapLeg;
use EmberDusk\Plan\Routes\ExistingLegs;
use EmberDusk\Plan\Run;

/** Surveyed legs that could run past a run, each as a change that taps it. */
final readonly class Taps
{
    /** @return list<array{label: string, change: array<string, mixed>}> */
    public static function of(JobState $state, Run $run): array
    {
        $strip = $state->plan->strip($run->strip);
        if ($strip === null || $state->plan->origin($run) === null) {
            return [];
        }
        $drop = null;
        foreach ($state->shelf->ofKind('cable') as $snapshot) {
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
        foreach (ExistingLegs::of($state->plan, $run, $state->shelf) as $name => $leg) {
            $taps[] = [
                'label' => "Tap leg {$name} at both ends of each section",
                'change' => TapLeg::payload(
                    run: $run->id,
                    leg: $leg->entry->id(),
                    drop: $drop->id(),
                    lead: ExistingLegs::LEAD,
                    laid: ExistingLegs::laid($state->plan, $run, $name),
                )->toArray(),
            ];
        }

        return $taps;
    }
}
