<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Schedule;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\JobStage;

/** Problems of the plan of work: circular waits, work outside the visits. */
final readonly class ScheduleFindings extends Check
{
    public function rules(): array
    {
        return [
            new Rule('circle', 'step', 'no steps wait for each other', Rule::OWN),
            new Rule('visits', 'step', 'the work fits into the visits', Rule::OWN),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $state = $job->state;
        if ($state->arrangement->visits === [] && $state->arrangement->waits === []) {
            return [];
        }
        $schedule = $state->schedule();
        $remaining = $schedule->remaining();
        if ($schedule->circle() === null) {
            $findings = [];
        } else {
            $findings = [
                $this->rule('circle')->stop(
                    place: new FindingPlace(JobStage::Build),
                    title: 'Steps wait for each other',
                    detail: "{$schedule->circle()} Until then the added waits are ignored.",
                ),
            ];
        }
        $outside = array_values(
            array_filter(
                $remaining->timetable->worked(),
                static fn(string $d): bool => $remaining->days->visit($remaining->days->on($d)) === null,
            ),
        );
        if ($outside !== []) {
            $findings[] = $this->rule('visits')->open(
                place: new FindingPlace(JobStage::Build),
                title: 'The work does not fit into the visits',
                detail: sprintf(
                    '%s needs another %s, currently from %s. Add a visit, or make one longer.',
                    count($outside) === 1 ? 'It' : 'Remaining work',
                    count($outside) === 1 ? 'day' : count($outside) . ' days',
                    $outside[0],
                ),
            );
        }

        return $findings;
    }
}
