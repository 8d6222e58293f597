<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Control;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Control\PowerCuts;
use EmberDusk\Joining\RosterOfPlan;
use EmberDusk\Joining\TimingMethod;
use EmberDusk\Joining\Unit;
use EmberDusk\Plan\Changes\Control\SetTuning;
use EmberDusk\Plan\Tuning;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;
use EmberDusk\Values\Severity;

/** A light whose power is cut by hand has a state for its return, and one that lights. */
final readonly class PowerOn extends Check
{
    public function rules(): array
    {
        return [
            new Rule(
                'power-on',
                'controller',
                'a light that loses power by a switch has a power-on behaviour',
                Rule::PRACTICE,
            ),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $roster = RosterOfPlan::for($job->plan, new TimingMethod());
        $lights = array_filter($roster->units, static fn(Unit $u): bool => $u->lights());
        $findings = [];
        foreach ((new PowerCuts($job->plan))->for($lights) as $id => $by) {
            $light = $lights[$id];
            $is = $job->plan->tunings[$light->item] ?? new Tuning($light->item);
            if (!in_array($is->powerOn, ['', Tuning::OFF], true)) {
                continue;
            }
            if ($is->powerOn === '') {
                $title = "Power-on behaviour of {$light->called()} is not set ({$by} cuts its power)";
            } else {
                $title = "{$light->called()} stays dark when {$by} gives its power back";
            }
            $findings[] = $this->rule('power-on')->finding(
                severity: $is->powerOn === '' ? Severity::Open : Severity::Watch,
                place: new FindingPlace(JobStage::Scenes, $light->id),
                title: $title,
                detail: 'Without power it does not respond and does not relay for others. People expect light when they use the switch: ' .
                    'store a level, wait until it is saved, and test it with the phone off.',
                fixes: [
                    new Fix(
                        'Switch on at 80 %',
                        SetTuning::payload(new Tuning($is->id, $is->curve, Tuning::LEVEL, 0.8)),
                    ),
                    new Fix(
                        'Restore the last level',
                        SetTuning::payload(new Tuning($is->id, $is->curve, Tuning::LAST, $is->level)),
                    ),
                ],
            );
        }

        return $findings;
    }
}
