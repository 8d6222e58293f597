<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Parts;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\Judged;
use EmberDusk\Checks\Rule;
use EmberDusk\Job\JobState;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Place;
use EmberDusk\Values\Severity;

/** What speaks against the parts: how runs are made up, what should be here. */
final readonly class PartFindings implements Check
{
    public function rules(): array
    {
        return [
            new Rule('too-long', 'part', 'what is to be in one piece is no longer than what is sold', Rule::LEAFLET),
            new Rule('glue-damp', 'run', 'no hot glue seals where it is damp', Rule::PRACTICE),
            new Rule('profile-heat', 'run', 'a profile takes the heat of its strip', Rule::LEAFLET),
            new Rule('part-late', 'part', 'what was ordered is here by its day', Rule::OWN),
        ];
    }

    public function check(Judged $job): array
    {
        return self::of($job->state);
    }

    /** @return list<Finding> */
    public static function of(JobState $state): array
    {
        $findings = AssemblyFindings::of($state);
        foreach ($state->marks as $key => $mark) {
            $name = ($state->plan->kit[$key] ?? $state->shelf->find($key))?->entry->name();
            if ($name !== null && $mark->late($state->today)) {
                $findings[] = new Finding(
                    code: 'part-late',
                    severity: Severity::Watch,
                    title: "{$name} should be here",
                    detail: "It was ordered for {$mark->arrives}. Ask where it is, then set another day or mark it as in hand.",
                    place: new Place('parts', $key),
                );
            }
        }

        return $findings;
    }
}
