<?php

declare(strict_types=1);

namespace App\Screens\Build;

use EmberDusk\Job\JobState;
use EmberDusk\Job\Schedule;
use EmberDusk\Rates\StepMinutes;
use EmberDusk\Schedule\Day;
use EmberDusk\Schedule\Days;
use EmberDusk\Schedule\Pin;
use EmberDusk\Schedule\RemainingWork;
use EmberDusk\Schedule\Slot;
use EmberDusk\Schedule\Step;
use EmberDusk\Schedule\Timetable;
use EmberDusk\Schedule\Visit;
use EmberDusk\Schedule\Waits;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Input;
use EmberDusk\Values\Range;

/** The work as lanes, a person each, over the days: what waits for parts or cures, what the end hangs on, what is done. */
final readonly class BuildScreen
{
    /** @return array<string, mixed> as in app/Screens/Build/build.json, $defs/buildPicture */
    public static function picture(JobState $state): array
    {
        $schedule = $state->schedule();
        $remaining = $schedule->remaining();
        $arrangement = $state->arrangement;

        return [
            'begins' => Timetable::BEGINS,
            'dayMinutes' => Timetable::DAY,
            'days' => array_map(
                static fn(string $day): array => self::day($remaining->days, $day),
                $remaining->timetable->worked(),
            ),
            'slots' => array_map(static fn(Slot $s): array => SlotRow::of($state, $s), $remaining->timetable->slots),
            'order' => array_values(array_map(static fn(Step $s): string => $s->id, $remaining->steps)),
            'steps' => array_values(array_map(static fn(Step $s): array => StepRow::of($state, $s), $remaining->steps)),
            'waits' => array_map(
                static fn(array $w): array => ['part' => $w['part'] === '' ? '' : self::kit($state, $w['part'])] + $w,
                Waits::of($remaining),
            ),
            'visits' => array_map(static fn(Visit $v): array => $v->write(), $schedule->arrangement()->visits),
            'weekends' => $arrangement->weekends,
            'pins' => array_map(static fn(Pin $p): array => $p->write(), array_values($arrangement->pins)),
            'added' => array_map(
                static fn(array $w): array => ['step' => $w[0], 'after' => $w[1]],
                $arrangement->waits,
            ),
            'next' => $remaining->days->date(
                $remaining->days->on(
                    $remaining->timetable->worked() === []
                        ? $schedule->today()
                        : Day::after($remaining->timetable->worked()[count($remaining->timetable->worked()) - 1]),
                ),
            ),
            'end' => $remaining->left === [] ? '' : $remaining->days->clock($remaining->timetable->end()),
        ];
    }

    /** @return list<Figure> */
    public static function ledger(JobState $state): array
    {
        $schedule = $state->schedule();
        if ($schedule->steps === []) {
            return [];
        }
        $remaining = $schedule->remaining();
        [$minutes, $least, $most] = $schedule->labour();
        $rate = $state->plan->terms->hourRate;
        $days = count($remaining->timetable->worked());
        $done = (float) (count($remaining->steps) - count($remaining->left));
        $range = static fn(float $by): Range => new Range($least * $by, $most * $by);

        return [
            self::minutes($schedule, $minutes, $range(1 / 60)),
            new Figure(
                label: 'Labour',
                value: ($minutes / 60) * $rate,
                unit: $state->plan->terms->currency,
                decimals: 2,
                formula: 'm / 60 * r',
                inputs: [
                    new Input('m', 'minutes of all people together', (float) $minutes, 'min'),
                    new Input('r', 'an hour', $rate, $state->plan->terms->currency),
                ],
                assumption: 'An hour as the job says.',
                range: $range($rate / 60),
            ),
            new Figure(
                label: 'Days of work',
                value: (float) $days,
                unit: 'days',
                decimals: 0,
                formula: 'd',
                inputs: [new Input('d', 'days with work left in them', (float) $days, '')],
                assumption: sprintf(
                    '%d hours a day%s.',
                    intdiv(Timetable::DAY, 60),
                    $state->arrangement->weekends ? '' : ', no Saturdays and Sundays',
                ),
            ),
            self::longest($remaining),
            new Figure(
                label: 'Done',
                value: $done,
                unit: sprintf('of %d', count($remaining->steps)),
                decimals: 0,
                formula: 'n',
                inputs: [new Input('n', 'steps ticked off', $done, '')],
                assumption: 'As ticked here.',
            ),
        ];
    }

    /** Work of all people, kind by kind of step. */
    private static function minutes(Schedule $schedule, int $minutes, Range $range): Figure
    {
        $kinds = [];
        foreach ($schedule->steps as $step) {
            $kinds[$step->kind] = ($kinds[$step->kind] ?? 0) + $step->minutes * $schedule->people($step);
        }
        $inputs = [];
        foreach ($kinds as $kind => $of) {
            $inputs[] = new Input('m' . (count($inputs) + 1), StepMinutes::WORDS[$kind], (float) $of, 'min');
        }

        return new Figure(
            label: 'Work',
            value: $minutes / 60,
            unit: 'h',
            decimals: 1,
            formula: '(' . implode(' + ', array_map(static fn(Input $i): string => $i->symbol, $inputs)) . ') / 60',
            inputs: $inputs,
            assumption: 'All steps, done or not, by as many people as each takes and there are; from all going well to none.',
            source: 'common practice, no source; the crew’s own minutes where there are some',
            range: $range,
        );
    }

    /** The critical path, step by step. */
    private static function longest(RemainingWork $remaining): Figure
    {
        $inputs = [];
        foreach ($remaining->timetable->path->way($remaining->left) as $step) {
            $inputs[] = new Input(
                'w' . (count($inputs) + 1),
                $step->title . ($step->wait > 0 ? ', and it cures' : ''),
                (float) ($step->minutes + $step->wait),
                'min',
            );
        }

        return new Figure(
            label: 'Longest way',
            value: $remaining->timetable->path->length / 60,
            unit: 'h',
            decimals: 1,
            formula: $inputs === []
                ? '0'
                : '(' . implode(' + ', array_map(static fn(Input $i): string => $i->symbol, $inputs)) . ') / 60',
            inputs: $inputs,
            assumption: 'Steps on it delay the end by as much as they take longer.',
            source: 'critical path method',
        );
    }

    /** The name of a shelf entry. */
    public static function kit(JobState $state, string $id): string
    {
        return ($state->plan->kit[$id] ?? $state->shelf->find($id))?->entry->name() ?? $id;
    }

    /** @return array{day: string, people: int, visit: int|null} */
    private static function day(Days $days, string $day): array
    {
        $number = $days->on($day);

        return ['day' => $day, 'people' => $days->people($number), 'visit' => $days->visit($number)];
    }
}
