<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Parts;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Job\JobState;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Severity;

/** Problems of the parts list: assemblies, overdue parts. */
final readonly class PartFindings implements Check
{
    public function rules(): array
    {
        return [
            new Rule('too-long', 'part', 'parts without joints are no longer than the stock sold', Rule::LEAFLET),
            new Rule('glue-damp', 'run', 'no hot glue in damp places', Rule::PRACTICE),
            new Rule('profile-heat', 'run', 'a profile is rated for the heat of its strip', Rule::LEAFLET),
            new Rule('part-late', 'part', 'ordered parts arrive on their day', Rule::OWN),
        ];
    }

    public function check(JudgedJob $job): array
    {
        return self::for($job->state);
    }

    /** @return list<Finding> */
    public static function for(JobState $state): array
    {
        $findings = AssemblyFindings::for($state);
        foreach ($state->marks as $key => $mark) {
            $name = ($state->plan->kit[$key] ?? $state->shelf->find($key))?->entry->name();
            if ($name !== null && $mark->late($state->today)) {
                $findings[] = new Finding(
                    code: 'part-late',
                    severity: Severity::Watch,
                    title: "{$name} is overdue",
                    detail: "It was due on {$mark->arrives}. Ask the supplier, then set another day or mark it as in hand.",
                    place: new FindingPlace('parts', $key),
                );
            }
        }

        return $findings;
    }
}
