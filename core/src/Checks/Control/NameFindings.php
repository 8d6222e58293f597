<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Control;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Control\Names;
use EmberDusk\Plan\Changes\Runs\NameLight;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;

/** One name per light: short enough for the app, distinct by ear, and not reserved by assistants. */
final readonly class NameFindings extends Check
{
    public function rules(): array
    {
        return [
            new Rule(
                'name',
                'controller',
                'the name of a light fits its app, is easy to say and sounds unlike any other light, room, scene or show',
                Rule::PRACTICE,
            ),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $findings = [];
        $names = Names::for($job->plan);
        foreach ([...$names->clashes(), ...$names->groups()] as $clash) {
            $room = $job->plan->lights[$clash->light]->room ?? '';
            $fixes = [];
            if ($clash->instead !== '') {
                $fixes = [
                    new Fix(
                        "Call it “{$clash->instead}”",
                        NameLight::payload(controller: $clash->light, name: $clash->instead, room: $room),
                    ),
                ];
            }
            $findings[] = $this->rule('name')->watch(
                place: new FindingPlace(JobStage::Scenes, $clash->light),
                title: $clash->title,
                detail: $clash->detail,
                fixes: $fixes,
            );
        }

        return $findings;
    }
}
