<?php

declare(strict_types=1);

namespace App\Screens\Build;

use EmberDusk\Job\JobState;
use EmberDusk\Schedule\Step;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Input;
use EmberDusk\Values\Range;

/** A step with its reasons, its duration with the working, and its actual minutes. */
final readonly class StepRow
{
    public static function for(JobState $state, Step $step): BuildStep
    {
        $tick = $state->ticks[$step->id] ?? null;

        return new BuildStep(
            id: $step->id,
            kind: $step->kind->value,
            title: $step->title,
            place: $step->place,
            why: $step->why,
            minutes: $step->minutes,
            timed: $state->productivity->kinds[$step->kind->value]['count'] ?? 0,
            work: self::work($state, $step),
            people: $step->people,
            tools: $step->tools,
            caution: $step->caution,
            wait: $step->wait,
            after: $step->after,
            done: $tick !== null,
            taken: $tick->minutes ?? 0,
            at: $tick->at ?? '',
        );
    }

    private static function work(JobState $state, Step $step): Figure
    {
        $each = $step->kind->minutes();
        $productivity = $state->productivity->kinds[$step->kind->value] ?? null;
        $factor = $productivity['factor'] ?? 1.0;
        $inputs = [
            new Input(
                'u',
                'metres, joints, pieces or places',
                $step->units,
                '',
                path: 'plan: what the step is counted by',
            ),
            new Input(
                't',
                'minutes for one by the table',
                $each,
                'min',
                path: "the table of times: {$step->kind->value}",
            ),
            new Input(
                'f',
                $productivity === null
                    ? 'at this crew’s pace: not timed yet'
                    : "at this crew’s pace, from {$productivity['count']} timed",
                $factor,
                '',
                path: 'ticks: steps of this kind, timed by this crew',
            ),
        ];

        $assumption =
            'The calendar rounds it up to five minutes, the quote does not. Four of five such steps lie in the range (log-normal, prediction interval).';
        if ($productivity === null) {
            $assumption =
                'The calendar rounds it up to five minutes, the quote does not. Range by ' .
                'common practice; three timed steps of a kind give a better range.';
        }

        return new Figure(
            label: 'Minutes',
            value: $step->work,
            unit: 'min',
            decimals: 0,
            formula: 'u * t * f',
            inputs: $inputs,
            assumption: $assumption,
            source: 'common practice, no source',
            range: new Range((float) $step->range[0], (float) $step->range[1]),
        );
    }
}
