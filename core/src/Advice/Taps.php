<?php

declare(strict_types=1);

namespace EmberDusk\Advice;

use EmberDusk\Kit\Cable;
use EmberDusk\Measure\TapeNotes;
use EmberDusk\Plan\Run;

/** Surveyed legs of a place that could run past a run and be tapped: sound ones with cores enough, as cables of the shelf of the same size. */
final readonly class Taps
{
    /** @return list<array{label: string, change: array<string, mixed>}> */
    public static function of(Work $work, Run $run): array
    {
        $strip = $work->plan->strip($run->strip);
        $from = $work->plan->origin($run);
        if ($strip === null || $from === null) {
            return [];
        }
        $cores = count($strip->channels) + 1;
        $drop = self::shelf($work, $cores, null, null);
        $taps = [];
        foreach (TapeNotes::read($work->plan->places[$run->place]->notes ?? '')->site->legs as $leg) {
            $cable = $leg->cores >= $cores && ! $leg->open && $leg->broken === [] && $leg->joined === null
                ? self::shelf($work, $leg->cores, $leg->conductor->system, $leg->conductor->size) : null;
            if ($cable !== null && $drop !== null) {
                $taps[] = ['label' => "Tap leg {$leg->name} at both ends of each section",
                    'change' => ['kind' => 'TapLeg', 'run' => $run->id, 'leg' => $cable->id(), 'drop' => $drop->id(), 'lead' => 1.0]];
            }
        }

        return $taps;
    }

    /** The first cable with just so many cores, of a size where one is asked for. */
    private static function shelf(Work $work, int $cores, ?string $system, ?string $size): ?Cable
    {
        foreach ($work->shelf->ofKind('cable') as $frozen) {
            $cable = $frozen->entry;
            if ($cable instanceof Cable && $cable->cores === $cores && ($size === null ? $cable->conductor->capacity !== null : $cable->conductor->system === $system && $cable->conductor->size === $size)) {
                return $cable;
            }
        }

        return null;
    }
}
