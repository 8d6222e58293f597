<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Kit;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\Judged;
use EmberDusk\Checks\Rule;
use EmberDusk\Job\JobState;
use EmberDusk\Plan\Changes\Kit\SetOwned;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Fix;
use EmberDusk\Values\Place;
use EmberDusk\Values\Severity;

/** Solderless trial boards that are counted on for permanent work. */
final readonly class TrialBoards implements Check
{
    public function rules(): array
    {
        return [new Rule('trial', 'part', 'no board for trying is counted on for permanent work', Rule::PRACTICE)];
    }

    public function check(Judged $job): array
    {
        return self::of($job->state);
    }

    /** @return list<Finding> solderless trial boards that are counted on for permanent work */
    public static function of(JobState $state): array
    {
        $findings = [];
        foreach (array_keys($state->plan->owned) as $id) {
            $kit = $state->plan->kit[$id] ?? null;
            if ($kit !== null && ($kit->written['trial'] ?? false) === true) {
                $findings[] = new Finding(
                    code: 'trial',
                    severity: Severity::Watch,
                    title: $kit->entry->name() . ' is for trying only',
                    detail: 'Its contacts loosen. Permanent work gets a soldered or screwed board with a fuse, reverse ' .
                        'protection, level shifter and capacitor.',
                    place: new Place('kit', ''),
                    source: 'common practice, no source',
                    fixes: [new Fix('Do not count on it', SetOwned::payload(kit: $id, count: 0))],
                );
            }
        }

        return $findings;
    }
}
