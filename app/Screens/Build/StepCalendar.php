<?php

declare(strict_types=1);

namespace App\Screens\Build;

use EmberDusk\Formats\Calendar;
use EmberDusk\Job\JobState;
use EmberDusk\Schedule\Day;
use EmberDusk\Schedule\Slot;
use EmberDusk\Schedule\Timetable;

/** The plan of work as iCalendar. */
final readonly class StepCalendar
{
    /** 2026-01-01, from which the sequences of calendars count. */
    private const SEQUENCES = 1_767_225_600;

    /**
     * The plan of work as iCalendar. A step keeps its UID wherever it is moved, and a later writing has a higher SEQUENCE,
     * so that a calendar that takes both in has each step once.
     *
     * @param  string  $job  a name of the job that no other has, such as job7@firm.example
     * @param  int  $moment  at which it is written, seconds since 1970
     */
    public static function calendar(JobState $state, string $job, int $moment): string
    {
        $of = [];
        foreach ($state->schedule()->remaining()->timetable->slots as $slot) {
            $of[$slot->step->id][] = $slot;
        }

        return Calendar::write(
            array_values(
                array_map(static function (array $slots) use ($job): array {
                    [$first, $last] = [$slots[0], $slots[count($slots) - 1]];
                    if (count($slots) === 1) {
                        $days = '';
                    } else {
                        $days =
                            "\nOver " .
                            count($slots) .
                            ' days: ' .
                            implode(
                                '; ',
                                array_map(
                                    static fn(Slot $s): string => Day::words($s->day) .
                                        ' ' .
                                        self::hours($s->from) .
                                        ' to ' .
                                        self::hours($s->to),
                                    $slots,
                                ),
                            ) .
                            '.';
                    }

                    return [
                        'uid' => "{$first->step->id}.{$job}",
                        'from' => self::time($first, $first->from),
                        'to' => self::time($last, $last->to),
                        'title' => $first->step->title,
                        'place' => $first->step->place,
                        'text' => trim(
                            $first->step->why .
                                "\n" .
                                ($first->step->tools === []
                                    ? ''
                                    : 'Bring: ' . implode(', ', $first->step->tools) . '.') .
                                "\n" .
                                $first->step->caution .
                                $days,
                        ),
                    ];
                }, $of),
            ),
            gmdate('Ymd\THis\Z', $moment),
            max(0, $moment - self::SEQUENCES),
        );
    }

    private static function hours(int $minute): string
    {
        return sprintf('%02d:%02d', Timetable::BEGINS + intdiv($minute, 60), $minute % 60);
    }

    private static function time(Slot $slot, int $minute): string
    {
        return str_replace('-', '', $slot->day) .
            sprintf('T%02d%02d00', Timetable::BEGINS + intdiv($minute, 60), $minute % 60);
    }
}
