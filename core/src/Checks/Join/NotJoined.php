<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Join;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\JobStage;

/** Every controller that has its own network to join has joined it. */
final readonly class NotJoined extends Check
{
    public function rules(): array
    {
        return [
            new Rule('not-joined', 'unit', 'every controller and dimming module has been joined and named', Rule::OWN),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $findings = [];
        foreach (array_keys($job->plan->lightUnits()) as $id) {
            $profile = $job->plan->controller($id)->profile ?? $job->plan->module($id)?->profile;
            if ($profile !== null && !in_array($id, $job->state->joined, true)) {
                $findings[] = $this->rule('not-joined')->open(
                    place: new FindingPlace(JobStage::Join, $id),
                    title: strtoupper($id) . ' is not joined yet',
                    detail: 'So far only its own key switches it.',
                );
            }
        }

        return $findings;
    }
}
