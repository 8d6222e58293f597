<?php

declare(strict_types=1);

namespace EmberDusk\Advice\Works;

use EmberDusk\Advice\Work;
use EmberDusk\Build\Course;
use EmberDusk\Build\Day;
use EmberDusk\Build\Days;
use EmberDusk\Build\Pin;
use EmberDusk\Build\Schedule;
use EmberDusk\Build\Slot;
use EmberDusk\Build\Step;
use EmberDusk\Build\StepTimes;
use EmberDusk\Build\Visit;
use EmberDusk\Build\Waits;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Input;
use EmberDusk\Values\Place;
use EmberDusk\Values\Range;
use EmberDusk\Values\Severity;

/** The work as lanes, a person each, over the days: what waits for parts or cures, what the end hangs on, what is done. */
final readonly class BuildDesk
{
    /** @return array<string, mixed> as in core/schema/responses.json, $defs/buildPicture */
    public static function picture(Work $work): array
    {
        $sheet = Worksheet::of($work);
        $course = $sheet->course();
        $arrangement = $work->arrangement;

        return [
            'begins' => Schedule::BEGINS,
            'dayMinutes' => Schedule::DAY,
            'days' => array_map(
                static fn(string $day): array => self::day($course->days, $day),
                $course->schedule->worked(),
            ),
            'slots' => array_map(static fn(Slot $s): array => SlotRow::of($work, $s), $course->schedule->slots),
            'steps' => array_values(array_map(static fn(Step $s): array => StepRow::of($work, $s), $course->steps)),
            'waits' => array_map(
                static fn(array $w): array => ['part' => $w['part'] === '' ? '' : self::kit($work, $w['part'])] + $w,
                Waits::of($course),
            ),
            'visits' => array_map(static fn(Visit $v): array => $v->write(), $sheet->arrangement()->visits),
            'weekends' => $arrangement->weekends,
            'pins' => array_map(static fn(Pin $p): array => $p->write(), array_values($arrangement->pins)),
            'added' => array_map(
                static fn(array $w): array => ['step' => $w[0], 'after' => $w[1]],
                $arrangement->waits,
            ),
            'next' => $course->days->date(
                $course->days->on(
                    $course->schedule->worked() === []
                        ? $sheet->today()
                        : Day::after($course->schedule->worked()[count($course->schedule->worked()) - 1]),
                ),
            ),
            'end' => $course->left === [] ? '' : $course->days->clock($course->schedule->end()),
        ];
    }

    /** @return list<Figure> */
    public static function ledger(Work $work): array
    {
        $sheet = Worksheet::of($work);
        if ($sheet->steps === []) {
            return [];
        }
        $course = $sheet->course();
        [$minutes, $least, $most] = $sheet->labour();
        $rate = $work->plan->terms->hourRate;
        $days = count($course->schedule->worked());
        $done = (float) (count($course->steps) - count($course->left));
        $range = static fn(float $by): Range => new Range($least * $by, $most * $by);

        return [
            self::minutes($sheet, $minutes, $range(1 / 60)),
            new Figure(
                'Labour',
                ($minutes / 60) * $rate,
                $work->plan->terms->currency,
                2,
                'm / 60 * r',
                [
                    new Input('m', 'minutes of all people together', (float) $minutes, 'min'),
                    new Input('r', 'an hour', $rate, $work->plan->terms->currency),
                ],
                'An hour as the job says.',
                '',
                $range($rate / 60),
            ),
            new Figure(
                'Days of work',
                (float) $days,
                'days',
                0,
                'd',
                [new Input('d', 'days with work left in them', (float) $days, '')],
                sprintf(
                    '%d hours a day%s.',
                    intdiv(Schedule::DAY, 60),
                    $work->arrangement->weekends ? '' : ', no Saturdays and Sundays',
                ),
            ),
            self::longest($course),
            new Figure(
                'Done',
                $done,
                sprintf('of %d', count($course->steps)),
                0,
                'n',
                [new Input('n', 'steps ticked off', $done, '')],
                'As ticked here.',
            ),
        ];
    }

    /** Work of all people, kind by kind of step. */
    private static function minutes(Worksheet $sheet, int $minutes, Range $range): Figure
    {
        $kinds = [];
        foreach ($sheet->steps as $step) {
            $kinds[$step->kind] = ($kinds[$step->kind] ?? 0) + $step->minutes * $sheet->people($step);
        }
        $inputs = [];
        foreach ($kinds as $kind => $of) {
            $inputs[] = new Input('m' . (count($inputs) + 1), StepTimes::WORDS[$kind], (float) $of, 'min');
        }

        return new Figure(
            'Work',
            $minutes / 60,
            'h',
            1,
            '(' . implode(' + ', array_map(static fn(Input $i): string => $i->symbol, $inputs)) . ') / 60',
            $inputs,
            'All steps, done or not, by as many people as each takes and there are; from all going well to none.',
            'common practice, no source; the crew’s own minutes where there are some',
            $range,
        );
    }

    /** The critical path, step by step. */
    private static function longest(Course $course): Figure
    {
        $inputs = [];
        foreach ($course->schedule->path->way($course->left) as $step) {
            $inputs[] = new Input(
                'w' . (count($inputs) + 1),
                $step->title . ($step->wait > 0 ? ', and it cures' : ''),
                (float) ($step->minutes + $step->wait),
                'min',
            );
        }

        return new Figure(
            'Longest way',
            $course->schedule->path->length / 60,
            'h',
            1,
            $inputs === []
                ? '0'
                : '(' . implode(' + ', array_map(static fn(Input $i): string => $i->symbol, $inputs)) . ') / 60',
            $inputs,
            'Steps on it delay the end by as much as they take longer.',
            'critical path method',
        );
    }

    /** @return list<Finding> */
    public static function findings(Work $work): array
    {
        if ($work->arrangement->visits === [] && $work->arrangement->waits === []) {
            return [];
        }
        $sheet = Worksheet::of($work);
        $course = $sheet->course();
        $findings =
            $sheet->circle === null
                ? []
                : [
                    new Finding(
                        'circle',
                        Severity::Stop,
                        'Steps wait for each other',
                        "{$sheet->circle} Until then the waits that were added count nothing.",
                        new Place('build'),
                    ),
                ];
        $outside = array_values(
            array_filter(
                $course->schedule->worked(),
                static fn(string $d): bool => $course->days->visit($course->days->on($d)) === null,
            ),
        );
        if ($outside !== []) {
            $findings[] = new Finding(
                'visits',
                Severity::Open,
                'The work does not fit into the visits',
                sprintf(
                    '%s needs another %s, from %s on as it stands. Add a visit, or make one longer.',
                    count($outside) === 1 ? 'It' : 'What is left',
                    count($outside) === 1 ? 'day' : count($outside) . ' days',
                    $outside[0],
                ),
                new Place('build'),
            );
        }

        return $findings;
    }

    /** The name of a shelf entry. */
    public static function kit(Work $work, string $id): string
    {
        return ($work->plan->kit[$id] ?? $work->shelf->find($id))?->entry->name() ?? $id;
    }

    /** @return array{day: string, people: int, visit: int|null} */
    private static function day(Days $days, string $day): array
    {
        $number = $days->on($day);

        return ['day' => $day, 'people' => $days->people($number), 'visit' => $days->visit($number)];
    }
}
