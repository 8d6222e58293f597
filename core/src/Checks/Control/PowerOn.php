<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Control;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\Judged;
use EmberDusk\Checks\Rule;
use EmberDusk\Control\PowerCuts;
use EmberDusk\Joining\RosterOfPlan;
use EmberDusk\Joining\School;
use EmberDusk\Joining\Unit;
use EmberDusk\Plan\Changes\Control\SetTuning;
use EmberDusk\Plan\Tuning;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Fix;
use EmberDusk\Values\Place;
use EmberDusk\Values\Severity;

/** A light whose power is cut by hand has a state for its return, and one that lights. */
final readonly class PowerOn implements Check
{
    public function rules(): array
    {
        return [
            new Rule(
                'power-on',
                'controller',
                'a light that is cut by a switch has a state for when its power returns',
                Rule::PRACTICE,
            ),
        ];
    }

    public function check(Judged $job): array
    {
        $roster = RosterOfPlan::of($job->plan, new School());
        $lights = array_filter($roster->units, static fn(Unit $u): bool => $u->lights());
        $findings = [];
        foreach (PowerCuts::of($job->plan, $lights) as $id => $by) {
            $light = $lights[$id];
            $is = $job->plan->tunings[$light->item] ?? new Tuning($light->item);
            if (!in_array($is->powerOn, ['', Tuning::OFF], true)) {
                continue;
            }
            if ($is->powerOn === '') {
                $title = "What does {$light->called()} do when {$by} gives its power back?";
            } else {
                $title = "{$light->called()} stays dark when {$by} gives its power back";
            }
            $findings[] = new Finding(
                code: 'power-on',
                severity: $is->powerOn === '' ? Severity::Open : Severity::Watch,
                title: $title,
                detail: 'Cut, it answers to nothing and passes nothing on to others. Whoever works the switch expects light: ' .
                    'store a level, wait until it is kept, and try it with the phone off.',
                place: new Place('scenes', $light->id),
                source: Rule::PRACTICE,
                fixes: [
                    new Fix(
                        'Let it come up at 80 %',
                        SetTuning::payload(new Tuning($is->id, $is->curve, Tuning::LEVEL, 0.8)),
                    ),
                    new Fix(
                        'Let it come up as it was',
                        SetTuning::payload(new Tuning($is->id, $is->curve, Tuning::LAST, $is->level)),
                    ),
                ],
            );
        }

        return $findings;
    }
}
