<?php

declare(strict_types=1);

namespace App\Screens\Build;

use EmberDusk\Job\JobState;
use EmberDusk\Rates\Work;
use EmberDusk\Schedule\ClientQuestions;
use EmberDusk\Schedule\Day;
use EmberDusk\Schedule\Days;
use EmberDusk\Schedule\Labour;
use EmberDusk\Schedule\RemainingWork;
use EmberDusk\Schedule\Slot;
use EmberDusk\Schedule\Step;
use EmberDusk\Schedule\Timetable;
use EmberDusk\Schedule\WaitingTime;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Input;
use EmberDusk\Values\Range;

/** The work as lanes per person over the days: waits, the critical path, finished steps. */
final readonly class BuildScreen
{
    private function __construct(private JobState $state) {}

    public static function picture(JobState $state): BuildPicture
    {
        $schedule = $state->schedule();
        $remaining = $schedule->remaining();
        $arrangement = $state->arrangement;

        $first = $remaining->timetable->worked()[0] ?? '';
        $end = $remaining->left !== [] ? $remaining->days->clock($remaining->timetable->end()) : '';

        return new BuildPicture(
            begins: Timetable::BEGINS,
            dayMinutes: Timetable::DAY,
            days: array_map(
                static fn(string $day): BuildDay => self::day($remaining->days, $day),
                $remaining->timetable->worked(),
            ),
            slots: array_map(static fn(Slot $s): BuildSlot => SlotRow::for($state, $s), $remaining->timetable->slots),
            order: array_values(array_map(static fn(Step $s): string => $s->id, $remaining->steps)),
            steps: array_values(
                array_map(static fn(Step $s): BuildStep => StepRow::for($state, $s), $remaining->steps),
            ),
            waits: array_map(
                static fn(array $w): BuildWait => new BuildWait(
                    ...['part' => $w['part'] === '' ? '' : self::kit($state, $w['part'])] + $w,
                ),
                (new WaitingTime($remaining))->for(),
            ),
            visits: $schedule->arrangement()->visits,
            weekends: $arrangement->weekends,
            pins: array_values($arrangement->pins),
            added: array_map(
                static fn(array $w): AddedWait => new AddedWait(step: $w[0], after: $w[1]),
                $arrangement->waits,
            ),
            next: $remaining->days->date(
                $remaining->days->on(
                    $remaining->timetable->worked() === []
                        ? $schedule->today()
                        : Day::after($remaining->timetable->worked()[count($remaining->timetable->worked()) - 1]),
                ),
            ),
            end: $end,
            ahead: array_keys($remaining->ahead),
            message: $remaining->ahead === [] || $first === ''
                ? ''
                : (new ClientQuestions($state->plan))->message($first),
        );
    }

    /** @return list<Figure> */
    public static function ledger(JobState $state): array
    {
        return (new self($state))->totals();
    }

    /** @return list<Figure> */
    private function totals(): array
    {
        $schedule = $this->state->schedule();
        if ($schedule->steps === []) {
            return [];
        }
        $remaining = $schedule->remaining();
        $labour = $schedule->labour();
        $days = count($remaining->timetable->worked());
        $done = (float) (count($remaining->steps) - count($remaining->left) - count($remaining->ahead));

        return [
            self::work($labour),
            $this->cost($labour),
            new Figure(
                label: 'Days of work',
                value: (float) $days,
                unit: $days === 1 ? 'day' : 'days',
                decimals: 0,
                formula: 'd',
                inputs: [
                    new Input(
                        'd',
                        'days with remaining work',
                        (float) $days,
                        '',
                        path: 'schedule: days with remaining work',
                    ),
                ],
                assumption: sprintf(
                    '%d hours a day%s.',
                    intdiv(Timetable::DAY, 60),
                    $this->state->arrangement->weekends ? '' : ', no Saturdays and Sundays',
                ),
            ),
            self::longest($remaining),
            new Figure(
                label: 'Done',
                value: $done,
                unit: sprintf('of %d', count($remaining->steps)),
                decimals: 0,
                formula: 'n',
                inputs: [new Input('n', 'steps ticked off', $done, '', path: 'ticks: steps done')],
                assumption: 'As ticked here.',
            ),
        ];
    }

    /** Work of all people, kind by kind of step. */
    private static function work(Labour $labour): Figure
    {
        $inputs = [];
        foreach ($labour->minutes as $kind => $minutes) {
            $inputs[] = new Input(
                symbol: 'm' . (count($inputs) + 1),
                meaning: Work::from($kind)->words(),
                value: $minutes,
                unit: 'min',
                path: "quote.lines.work-{$kind}.minutes",
            );
        }
        [$least, $most] = $labour->range();

        return new Figure(
            label: 'Work',
            value: $labour->total() / 60,
            unit: 'h',
            decimals: 1,
            formula: '(' . Input::sum($inputs) . ') / 60',
            inputs: $inputs,
            assumption: 'All steps, done or not, with the people that each needs and that there are; from all going ' .
                'well to none. The calendar rounds each step up to five minutes, this does not.',
            source: 'common practice, no source; the crew’s own times where known',
            range: new Range($least / 60, $most / 60),
        );
    }

    /** The same lines as in the quote. */
    private function cost(Labour $labour): Figure
    {
        $rate = $this->state->plan->terms->hourRate;
        $currency = $this->state->plan->terms->currency;
        $inputs = [];
        foreach ($this->state->schedule()->quote()->lines as $key => $line) {
            if ($line->minutes > 0) {
                $inputs[] = new Input(
                    symbol: 'l' . (count($inputs) + 1),
                    meaning: sprintf('%s, %s at %.2f an hour', lcfirst($line->what), $line->count, $rate),
                    value: $line->cents / 100,
                    unit: $currency,
                    path: "quote.lines.{$key}.cents / 100",
                );
            }
        }
        [$least, $most] = $labour->range();

        return new Figure(
            label: 'Labour',
            value: array_sum(array_map(static fn(Input $i): float => $i->value, $inputs)),
            unit: $currency,
            decimals: 2,
            formula: Input::sum($inputs),
            inputs: $inputs,
            assumption: 'As in the quote: unrounded minutes at the job’s rate, each line in whole hundredths.',
            range: new Range(($least * $rate) / 60, ($most * $rate) / 60),
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
                path: "schedule.steps.{$step->id}.minutes + wait",
            );
        }

        return new Figure(
            label: 'Critical path',
            value: $remaining->timetable->path->length / 60,
            unit: 'h',
            decimals: 1,
            formula: '(' . Input::sum($inputs) . ') / 60',
            inputs: $inputs,
            assumption: 'A delay of a step on it delays the end.',
            source: 'critical path method',
        );
    }

    /** The name of a shelf entry. */
    public static function kit(JobState $state, string $id): string
    {
        return ($state->plan->kit[$id] ?? $state->shelf->find($id))?->entry->name() ?? $id;
    }

    private static function day(Days $days, string $day): BuildDay
    {
        $number = $days->on($day);

        return new BuildDay(day: $day, people: $days->people($number), visit: $days->visit($number));
    }
}
