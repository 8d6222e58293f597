<?php

declare(strict_types=1);

namespace EmberDusk\Advice;

use EmberDusk\Build\Schedule;
use EmberDusk\Build\Slot;
use EmberDusk\Build\Step;
use EmberDusk\Build\Steps;
use EmberDusk\Formats\Calendar;
use EmberDusk\Workings\Figure;
use EmberDusk\Workings\Input;

/** The work as lanes, a person each, over the days: what waits for parts or cures, what the end hangs on, what is done. */
final readonly class BuildDesk
{
    /** @return array<string, mixed> as in core/schema/responses.json, $defs/buildPicture */
    public static function picture(Work $work): array
    {
        $schedule = self::schedule($work);

        return [
            'people' => $work->visit->people,
            'start' => self::start($work),
            'begins' => Schedule::BEGINS,
            'dayMinutes' => Schedule::DAY,
            'days' => $schedule->days(),
            'slots' => array_map(static fn (Slot $s): array => self::slot($work, $s), $schedule->slots),
        ];
    }

    /** @return list<Figure> */
    public static function ledger(Work $work): array
    {
        $steps = Steps::of($work->plan);
        if ($steps === []) {
            return [];
        }
        $schedule = self::schedule($work);
        $minutes = array_sum(array_map(static fn (Step $s): int => $s->minutes * min($s->people, $work->visit->people), $steps));
        $hours = $minutes / 60;
        $rate = $work->plan->terms->hourRate;

        return [
            new Figure('Work', $hours, 'h', 1, 'm / 60', [new Input('m', 'minutes of all people together', (float) $minutes, 'min')], 'Times of every step: common practice, no source.'),
            new Figure('Labour', $hours * $rate, $work->plan->terms->currency, 2, 'm / 60 * r', [new Input('m', 'minutes of all people together', (float) $minutes, 'min'), new Input('r', 'an hour', $rate, $work->plan->terms->currency)], 'An hour as the job says.'),
            new Figure('Days of work', (float) count($schedule->days()), 'days', 0, 'd', [new Input('d', 'days with work in them', (float) count($schedule->days()), '')], sprintf('From %s, %d hours a day, no Saturdays and Sundays.', self::start($work), intdiv(Schedule::DAY, 60))),
            new Figure('Longest way', $schedule->path->length / 60, 'h', 1, 'w / 60', [new Input('w', 'minutes of the critical path, curing counted', (float) $schedule->path->length, 'min')], 'Steps on it delay the end by as much as they take longer.'),
            new Figure('Done', (float) count(array_intersect_key($work->visit->ticks, array_fill_keys(array_map(static fn (Step $s): string => $s->id, $steps), true))), sprintf('of %d', count($steps)), 0, 'n', [new Input('n', 'steps ticked off', (float) count(array_intersect_key($work->visit->ticks, array_fill_keys(array_map(static fn (Step $s): string => $s->id, $steps), true))), '')], 'As ticked here.'),
        ];
    }

    /** The plan of work as iCalendar. */
    public static function calendar(Work $work, string $stamp): string
    {
        return Calendar::write(array_map(static fn (Slot $s): array => [
            'uid' => "{$s->step->id}@ember-dusk.invalid", 'from' => self::time($s, $s->from), 'to' => self::time($s, $s->to), 'title' => $s->step->title, 'place' => $s->step->place,
            'text' => trim($s->step->why."\n".($s->step->tools === [] ? '' : 'Bring: '.implode(', ', $s->step->tools).'.')."\n".$s->step->caution),
        ], self::schedule($work)->slots), $stamp);
    }

    private static function time(Slot $slot, int $minute): string
    {
        return str_replace('-', '', $slot->day).sprintf('T%02d%02d00', Schedule::BEGINS + intdiv($minute, 60), $minute % 60);
    }

    private static function schedule(Work $work): Schedule
    {
        $arrivals = [];
        foreach ($work->marks as $key => $mark) {
            if ($mark->state === 'ordered' && $mark->arrives !== null) {
                $arrivals[$key] = $mark->arrives;
            }
        }

        return Schedule::of(Steps::of($work->plan), $work->visit->people, self::start($work), $arrivals);
    }

    private static function start(Work $work): string
    {
        return $work->visit->start === '' ? ($work->today === '' ? '2000-01-03' : $work->today) : $work->visit->start;
    }

    /** @return array<string, mixed> */
    private static function slot(Work $work, Slot $slot): array
    {
        $step = $slot->step;
        $waits = array_values(array_filter(array_map(static fn (string $n): ?string => ($work->marks[$n] ?? null)?->missing() !== true ? null : (isset($work->plan->kit[$n]) ? $work->plan->kit[$n]->entry->name() : $n).($work->marks[$n]->arrives === null ? '' : ", {$work->marks[$n]->arrives}"), $step->needs)));

        return ['id' => $step->id, 'title' => $step->title, 'place' => $step->place, 'why' => $step->why, 'minutes' => $step->minutes, 'tools' => $step->tools, 'caution' => $step->caution, 'wait' => $step->wait,
            'day' => $slot->day, 'from' => $slot->from, 'to' => $slot->to, 'people' => $slot->people, 'critical' => $slot->critical, 'done' => isset($work->visit->ticks[$step->id]), 'taken' => $work->visit->ticks[$step->id] ?? 0, 'waits' => $waits];
    }
}
