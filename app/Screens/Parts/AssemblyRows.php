<?php

declare(strict_types=1);

namespace App\Screens\Parts;

use EmberDusk\Job\JobState;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Parts\Uses;
use EmberDusk\Plan\Run;

/** How each run is made up, with what there is to choose from, and what of it cannot be. */
final readonly class AssemblyRows
{
    /** @return list<array<string, mixed>> as in app/Screens/Parts/parts.json, $defs/makingRow */
    public static function of(JobState $state): array
    {
        $plan = $state->plan;
        $uses = new Uses($state->shelf);

        return array_values(
            array_map(static function (Run $run) use ($plan, $uses): array {
                $making = $plan->making($run);
                $profile = in_array('profile', $run->mounting, true);

                return [
                    'run' => $run->id,
                    'name' => $run->name(),
                    'place' => $plan->places[$run->place]->name ?? '',
                    'strip' => $making->strip,
                    'length' => $making->length,
                    'inProfile' => $profile,
                    'profile' => $making->profile ?? '',
                    'diffuser' => $making->diffuser ?? '',
                    'seal' => $making->seal,
                    'cut' => $making->cut,
                    'usualProfile' => $uses->usualProfile($plan, $run)?->entry->name() ?? 'none on the shelf',
                    'usualDiffuser' => $uses->usualDiffuser()?->entry->name() ?? 'none on the shelf',
                    'usualSeal' => $plan->damp($run) ? 'silicone, it is damp' : 'not sealed',
                    'usualCut' => $profile ? 'to measure, before' : 'after fixing',
                ];
            }, array_filter($plan->runs, static fn(Run $r): bool => $plan->cutMarks($r) !== null)),
        );
    }

    /** @return array{profiles: list<array{id: string, name: string}>, diffusers: list<array{id: string, name: string}>} */
    public static function choices(JobState $state): array
    {
        $of = static fn(string $kind): array => array_map(
            static fn(KitSnapshot $f): array => ['id' => $f->entry->id(), 'name' => $f->entry->name()],
            $state->shelf->ofKind($kind),
        );

        return ['profiles' => $of('profile'), 'diffusers' => $of('diffuser')];
    }
}
