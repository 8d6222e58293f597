<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Parts;

use EmberDusk\Formats\Fields;
use EmberDusk\Job\JobState;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Parts\FirstForPurpose;
use EmberDusk\Parts\Offcut;
use EmberDusk\Parts\PiecesToCut;
use EmberDusk\Plan\Changes\Kit\SetAssembly;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\Severity;

/** Assemblies that are impossible or do not last: pieces too long, glue in wet places, heat. */
final readonly class AssemblyFindings
{
    /** @return list<Finding> sections that no length holds, profiles that get too warm or are too many for the shelf */
    public static function for(JobState $state): array
    {
        $plan = $state->plan;
        $findings = [];
        $lengths = PiecesToCut::for($plan, $state->shelf);
        foreach ($lengths->tooLong(Offcut::byKit($state->offcuts)) as [$piece, $kit, $group]) {
            $findings[] = new Finding(
                code: 'too-long',
                severity: Severity::Stop,
                title: "{$piece->what} is longer than any {$kit->entry->name()}",
                detail: sprintf(
                    '%s without joints, but stock has %s. Allow a joint, choose another %s, or add a longer offcut.',
                    $plan->terms->say($piece->mm / 1000),
                    $plan->terms->say(PiecesToCut::bought($kit)),
                    strtolower($group),
                ),
                place: new FindingPlace('parts', $piece->run),
                number: $piece->mm / 1000,
                limit: PiecesToCut::bought($kit),
                fixes: [
                    new Fix(
                        'Allow joints where needed',
                        $group === 'Strip'
                            ? SetAssembly::payload(run: $piece->run, strip: 'needed')
                            : SetAssembly::payload(run: $piece->run, length: 'needed'),
                    ),
                ],
            );
        }
        $uses = new FirstForPurpose($state->shelf);
        foreach ($plan->runs as $run) {
            if ($plan->making($run)->seal === 'glue' && $plan->damp($run)) {
                $findings[] = new Finding(
                    code: 'glue-damp',
                    severity: Severity::Watch,
                    title: "{$run->name()} is sealed with hot glue where it is damp",
                    detail: 'Hot glue fails in wet places. Use silicone; it takes a day to cure.',
                    place: new FindingPlace('parts', $run->id),
                    source: 'common practice, no source',
                    fixes: [new Fix('Seal it with silicone', SetAssembly::payload(run: $run->id, seal: 'silicone'))],
                );
            }
            if ($plan->cutMarks($run) !== null && in_array('profile', $run->mounting, true)) {
                $profile = $uses->profile($plan, $run);
            } else {
                $profile = null;
            }
            $takes = (new Fields($profile->written ?? []))->numberOrNull('heatWatts');
            $makes = ($plan->strip($run->strip)?->wattsPerMetre() ?? 0.0) * $run->cap;
            if ($profile !== null && $takes !== null && $makes > $takes + 1e-9) {
                $better = array_values(
                    array_filter(
                        $state->shelf->ofKind('profile'),
                        static fn(KitSnapshot $f): bool => ((new Fields($f->written))->numberOrNull('heatWatts') ??
                            0.0) >=
                            $makes &&
                            (!$plan->damp($run) || ($f->written['outdoors'] ?? false) === true),
                    ),
                );
                $findings[] = new Finding(
                    code: 'profile-heat',
                    severity: Severity::Watch,
                    title: "{$run->name()} gives off more heat than its profile is rated for",
                    detail: sprintf(
                        '%.1f W/m from the strip, “%s” is rated %.1f W/m. Choose a larger profile or a weaker strip: a hot strip ages fast.',
                        $makes,
                        $profile->entry->name(),
                        $takes,
                    ),
                    place: new FindingPlace('parts', $run->id),
                    number: $makes,
                    limit: $takes,
                    source: 'the shelf',
                    fixes: array_map(
                        static fn(KitSnapshot $f): Fix => new Fix(
                            "Use {$f->entry->name()}",
                            SetAssembly::payload(run: $run->id, profile: $f->entry->id()),
                        ),
                        array_slice($better, 0, 1),
                    ),
                );
            }
        }

        return $findings;
    }
}
