<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Control;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Control\Priorities;
use EmberDusk\Control\TriggerUnits;
use EmberDusk\Control\Year;
use EmberDusk\Plan\LightNames;
use EmberDusk\Plan\Trigger;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\JobStage;

/** Triggers: whether a unit of the job can start them, conflicts, and the effect of the sun over a year. */
final readonly class TriggerFindings extends Check
{
    public function rules(): array
    {
        return [
            new Rule('trigger-fight', 'trigger', 'two triggers that overlap have different priorities', Rule::OWN),
            new Rule('trigger-kit', 'trigger', 'a unit of the job can start it', Rule::LEAFLET),
            new Rule('trigger-place', 'trigger', 'the location is known if the sun starts something', Rule::OWN),
            new Rule(
                'trigger-sun',
                'trigger',
                'sunset and sunrise occur on every day that uses them, and in the planned order',
                'the almanac',
            ),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $plan = $job->plan;
        $findings = [];
        foreach ((new Priorities($plan))->fights() as $fight) {
            [$a, $b, $lights] = [$fight->one, $fight->other, $fight->lights];
            $findings[] = $this->finding(
                'trigger-fight',
                ucfirst("{$a->words()} and {$b->words()} conflict"),
                'Both have the number ' .
                    "{$a->priority}, and set different light for " .
                    implode(', ', array_map((new LightNames($plan))->of(...), $lights)) .
                    '. Give the more important one a lower number.',
                $b,
            );
        }
        foreach ($plan->triggers as $trigger) {
            $why = (new TriggerUnits($plan))->none($trigger);
            if ($why !== null) {
                $findings[] = $this->finding(
                    'trigger-kit',
                    ucfirst($trigger->words()) . ' cannot start here',
                    $why,
                    $trigger,
                );
            }
        }

        return [...$findings, ...$this->sun($job)];
    }

    /** @return list<Finding> */
    private function sun(JudgedJob $job): array
    {
        $by = array_filter(
            $job->plan->triggers,
            static fn(Trigger $t): bool => $t->timed() && $t->by !== Trigger::CLOCK,
        );
        if ($by === []) {
            return [];
        }
        if ($job->plan->position === null) {
            return [
                $this->rule('trigger-place')->open(
                    place: new FindingPlace(JobStage::Scenes),
                    title: 'Location of the job is not set',
                    detail: 'Sunrise and sunset need its latitude and longitude: type them at Scenes.',
                ),
            ];
        }
        $findings = [];
        $year = Year::for($job->plan, (int) substr($job->state->today, 0, 4), $job->state->zone);
        foreach ($year->missed as $miss) {
            $findings[] = $this->finding(
                'trigger-sun',
                sprintf('On %d days of the year %s', $miss['days'], $miss['why']),
                ucfirst($miss['trigger']->words()) .
                    " does not start then, from {$miss['first']} to {$miss['last']}. Add a time of day that starts it as well.",
                $miss['trigger'],
            );
        }
        foreach ($year->crossed as $crossed) {
            $findings[] = $this->finding(
                'trigger-sun',
                ucfirst("{$crossed['on']->words()} comes after {$crossed['off']->words()} on {$crossed['days']} days"),
                "First on {$crossed['first']}, last on {$crossed['last']}: it switches on after the switch-off time, and stays on. " .
                    'Switch it off later, or by the sun as well.',
                $crossed['on'],
            );
        }

        return $findings;
    }

    private function finding(string $code, string $title, string $detail, Trigger $trigger): Finding
    {
        return $this->rule($code)->watch(
            place: new FindingPlace(JobStage::Scenes, $trigger->id),
            title: $title,
            detail: $detail,
            source: $code === 'trigger-kit' ? Rule::LEAFLET : '',
        );
    }
}
