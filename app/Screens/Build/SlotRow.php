<?php

declare(strict_types=1);

namespace App\Screens\Build;

use EmberDusk\Job\JobState;
use EmberDusk\Schedule\Slot;

/** A step at its time, as the lanes and the day sheets show it. */
final readonly class SlotRow
{
    public static function for(JobState $state, Slot $slot): BuildSlot
    {
        $waits = [];
        foreach ($slot->step->needs as $part) {
            $mark = $state->marks[$part] ?? null;
            $arrives = $state->schedule()->arrivals[$part] ?? null;
            if ($arrives !== null || $mark?->state === 'ordered') {
                $waits[] =
                    BuildScreen::kit($state, $part) .
                    match (true) {
                        $arrives === null => ', on the way',
                        $mark?->state === 'ordered' => ", comes {$arrives}",
                        default => ", {$arrives} if it is ordered today",
                    };
            }
        }

        $wait = $slot->last ? $slot->step->wait : 0;

        return new BuildSlot(
            id: $slot->step->id,
            title: $slot->step->title,
            place: $slot->step->place,
            day: $slot->day,
            from: $slot->from,
            to: $slot->to,
            people: $slot->people,
            critical: $slot->critical,
            last: $slot->last,
            short: $slot->short,
            wait: $wait,
            waits: $waits,
        );
    }
}
