<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Parts;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\JobStage;

/** Problems of the parts list: assemblies, overdue parts. */
final readonly class PartFindings extends Check
{
    public function rules(): array
    {
        return [new Rule('part-late', 'part', 'ordered parts arrive on their day', Rule::OWN)];
    }

    public function check(JudgedJob $job): array
    {
        $state = $job->state;
        $findings = [];
        foreach ($state->marks as $key => $mark) {
            $name = ($state->plan->kit[$key] ?? $state->shelf->find($key))?->entry->name();
            if ($name !== null && $mark->late($state->today)) {
                $findings[] = $this->rule('part-late')->watch(
                    place: new FindingPlace(JobStage::Parts, $key),
                    title: "{$name} is overdue",
                    detail: "It was due on {$mark->arrives}. Ask the supplier, then set another day or mark it as in hand.",
                );
            }
        }

        return $findings;
    }
}
