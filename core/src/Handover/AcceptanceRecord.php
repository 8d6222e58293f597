<?php

declare(strict_types=1);

namespace EmberDusk\Handover;

use EmberDusk\Joining\Event;
use EmberDusk\Joining\Observation;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Task;

/** Acceptance: every control tested for every light, with the result and the time. */
final readonly class AcceptanceRecord
{
    /**
     * @param  list<array{Event, string}>  $log  of the run on site, each with its day and time
     * @return list<AcceptedRow>
     */
    public static function from(Roster $roster, array $log): array
    {
        $name = static fn(string $id): string => $roster->has($id) ? $roster->unit($id)->called() : strtoupper($id);
        $rows = [];
        foreach ($log as [$event, $at]) {
            $step = $event->step;
            if ($step?->what() === Task::ACCEPT && $step->kind === Task::ACCEPT && $event->seen !== null) {
                // The last word counts: what did not answer at first may after it was fixed.
                $rows[$step->task] = new AcceptedRow(
                    control: $name($step->device()),
                    light: $name($step->other()),
                    at: $at,
                    says: $event->seen === Observation::Expected ? 'answers' : 'does not answer',
                );
            }
        }

        return array_values($rows);
    }
}
