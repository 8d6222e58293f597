<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Kit;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Plan\Changes\Kit\SetOwned;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;

/** Solderless trial boards in permanent work: in the plan, or among the client's own kit. */
final readonly class TrialBoards extends Check
{
    public function rules(): array
    {
        return [new Rule('trial', 'part', 'no trial board in permanent work', Rule::PRACTICE)];
    }

    public function check(JudgedJob $job): array
    {
        $state = $job->state;
        $findings = [];
        foreach (array_keys($state->plan->owned) as $id) {
            $kit = $state->plan->kit[$id] ?? null;
            if ($kit !== null && ($kit->written['trial'] ?? false) === true) {
                $findings[] = $this->finding($kit->entry->name(), new FindingPlace(JobStage::Kit), [
                    new Fix('Not for permanent work', SetOwned::payload(kit: $id, count: 0)),
                ]);
            }
        }

        $seen = [];
        foreach ($job->runs() as $case) {
            if ($case->controller?->pixels?->trial === true && !isset($seen[$case->run->controller])) {
                $seen[$case->run->controller] = true;
                $findings[] = $this->finding(
                    $case->controller->name(),
                    new FindingPlace(JobStage::Kit, $case->run->id),
                    $case->takeFittingController(),
                );
            }
        }

        return $findings;
    }

    /** @param  list<Fix>  $fixes */
    private function finding(string $name, FindingPlace $place, array $fixes): Finding
    {
        return $this->rule('trial')->watch(
            place: $place,
            title: "{$name} is a trial board",
            detail: 'Its contacts work loose. Permanent work needs a soldered or screwed board with a fuse, reverse ' .
                'protection, level shifter and capacitor.',
            fixes: $fixes,
        );
    }
}
