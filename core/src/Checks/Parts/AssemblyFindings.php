<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Parts;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Formats\Fields;
use EmberDusk\Kit\KitSnapshot;
use EmberDusk\Parts\FirstForPurpose;
use EmberDusk\Parts\Offcut;
use EmberDusk\Parts\Piece;
use EmberDusk\Parts\PiecesToCut;
use EmberDusk\Parts\StockPieces;
use EmberDusk\Plan\Changes\Kit\SetAssembly;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;

/** Assemblies that are impossible or do not last: pieces too long, glue in wet places, heat. */
final readonly class AssemblyFindings extends Check
{
    public function rules(): array
    {
        return [
            new Rule('too-long', 'part', 'parts without joints are no longer than the stock sold', Rule::LEAFLET),
            new Rule('glue-damp', 'run', 'no hot glue in damp places', Rule::PRACTICE),
            new Rule('profile-heat', 'run', 'a profile is rated for the heat of its strip', Rule::LEAFLET),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $state = $job->state;
        $plan = $state->plan;
        $findings = [];
        $lengths = PiecesToCut::for($plan, $state->shelf);
        foreach ($lengths->tooLong(Offcut::byKit($state->offcuts)) as $stock) {
            foreach ($stock->pieces as $piece) {
                $findings[] = $this->tooLong($plan, $piece, $stock);
            }
        }
        $uses = new FirstForPurpose($state->shelf);
        foreach ($plan->runs as $run) {
            if ($plan->of($run)->making()->seal === 'glue' && $plan->of($run)->damp()) {
                $findings[] = $this->rule('glue-damp')->watch(
                    place: new FindingPlace(JobStage::Parts, $run->id),
                    title: "{$run->name()} is sealed with hot glue where it is damp",
                    detail: 'Hot glue fails in wet places. Use silicone; it takes a day to cure.',
                    fixes: [new Fix('Seal it with silicone', SetAssembly::payload(run: $run->id, seal: 'silicone'))],
                );
            }
            if ($plan->of($run)->cutMarks() !== null && in_array('profile', $run->mounting, true)) {
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
                            (!$plan->of($run)->damp() || ($f->written['outdoors'] ?? false) === true),
                    ),
                );
                $findings[] = $this->rule('profile-heat')->watch(
                    place: new FindingPlace(JobStage::Parts, $run->id),
                    title: "{$run->name()} gives off more heat than its profile is rated for",
                    detail: sprintf(
                        '%.1f W/m from the strip, “%s” is rated %.1f W/m. Choose a larger profile or a weaker strip: a hot strip ages fast.',
                        $makes,
                        $profile->entry->name(),
                        $takes,
                    ),
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

    private function tooLong(Plan $plan, Piece $piece, StockPieces $stock): Finding
    {
        return $this->rule('too-long')->stop(
            place: new FindingPlace(JobStage::Parts, $piece->run),
            title: "{$piece->what} is longer than any {$stock->kit->entry->name()}",
            detail: sprintf(
                '%s without joints, but stock has %s. Allow a joint, choose another %s, or add a longer offcut.',
                $plan->terms->say($piece->mm / 1000),
                $plan->terms->say(PiecesToCut::bought($stock->kit)),
                strtolower($stock->group),
            ),
            number: $piece->mm / 1000,
            limit: PiecesToCut::bought($stock->kit),
            source: '',
            fixes: [
                new Fix(
                    'Allow joints where needed',
                    $stock->group === 'Strip'
                        ? SetAssembly::payload(run: $piece->run, strip: 'needed')
                        : SetAssembly::payload(run: $piece->run, length: 'needed'),
                ),
            ],
        );
    }
}
