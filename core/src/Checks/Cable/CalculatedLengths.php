<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Cable;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Plan\Changes\Wires\SetCable;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;

/** A cable length that was calculated along the run is to be measured. */
final readonly class CalculatedLengths extends Check
{
    public function rules(): array
    {
        return [
            new Rule(
                'reckoned',
                'cable',
                'the length of a cable is measured, or its calculated length is accepted',
                Rule::OWN,
            ),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $findings = [];
        foreach ($job->plan->cables as $id => $laid) {
            if ($laid->reckoned && (isset($job->cables()[$id]) || isset($job->plan->modules[$laid->from]))) {
                $findings[] = $this->rule('reckoned')->open(
                    place: new FindingPlace(JobStage::Wire, $id),
                    title: strtoupper($id) . ' is not measured yet',
                    detail: "{$job->plan->terms->say(
                        $laid->length,
                    )} calculated. Measure the route and type it, or use the figure.",
                    number: $laid->length,
                    fixes: [
                        new Fix(
                            "Use {$job->plan->terms->say($laid->length)}",
                            SetCable::payload(cable: $id, length: $laid->length),
                        ),
                    ],
                );
            }
        }

        return $findings;
    }
}
