<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Kit;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Job\JobState;
use EmberDusk\Plan\Changes\Kit\SetItem;
use EmberDusk\Plan\Changes\Kit\SetOwned;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\Severity;

/** Solderless trial boards in permanent work: in the plan, or among the client's own kit. */
final readonly class TrialBoards implements Check
{
    public function rules(): array
    {
        return [new Rule('trial', 'part', 'no trial board in permanent work', Rule::PRACTICE)];
    }

    public function check(JudgedJob $job): array
    {
        return self::for($job->state);
    }

    /** @return list<Finding> solderless trial boards that are counted on for permanent work */
    public static function for(JobState $state): array
    {
        $findings = [];
        foreach (array_keys($state->plan->owned) as $id) {
            $kit = $state->plan->kit[$id] ?? null;
            if ($kit !== null && ($kit->written['trial'] ?? false) === true) {
                $findings[] = self::finding($kit->entry->name(), new FindingPlace('kit'), [
                    new Fix('Not for permanent work', SetOwned::payload(kit: $id, count: 0)),
                ]);
            }
        }

        foreach ($state->plan->items as $id => $item) {
            $kit = $state->plan->kit[$item->kit];
            if (($kit->written['trial'] ?? false) === true) {
                $findings[] = self::finding($kit->entry->name(), new FindingPlace('kit', $id), [
                    new Fix('Remove it', SetItem::payload(kit: $item->kit, place: $item->place, count: 0, item: $id)),
                ]);
            }
        }

        return $findings;
    }

    /** @param  list<Fix>  $fixes */
    private static function finding(string $name, FindingPlace $place, array $fixes): Finding
    {
        return new Finding(
            code: 'trial',
            severity: Severity::Watch,
            title: "{$name} is a trial board",
            detail: 'Its contacts work loose. Permanent work needs a soldered or screwed board with a fuse, reverse ' .
                'protection, level shifter and capacitor.',
            place: $place,
            source: Rule::PRACTICE,
            fixes: $fixes,
        );
    }
}
