<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Site;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Plan\Changes\Places\ReviseNotes;
use EmberDusk\Plan\Changes\Runs\DropRun;
use EmberDusk\Plan\Run;
use EmberDusk\Survey\WallNotes;
use EmberDusk\Survey\WallText;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;

/** Open points of the wall notes: lines that are not understood, places without measurements, runs that are gone. */
final readonly class SurveyFindings extends Check
{
    public function rules(): array
    {
        return [
            new Rule('slip', 'place', 'every line of the wall notes is understood', Rule::OWN),
            new Rule('run-lost', 'run', 'every run of the plan is in the notes', Rule::OWN),
            new Rule('no-notes', 'place', 'every place is measured', Rule::OWN),
            new Rule('said', 'place', 'lengths are measured, not only stated', Rule::OWN),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $state = $job->state;
        $findings = [];
        $words = [];
        foreach ($state->plan->places as $id => $place) {
            $sheet = WallNotes::read($place->notes);
            foreach (array_keys($sheet->runs) as $word) {
                $words[$id][$word] = true;
            }
            if ($sheet->site->said) {
                $findings[] = $this->rule('said')->open(
                    place: new FindingPlace(JobStage::Survey, $id),
                    title: "{$place->name}: lengths are not measured",
                    detail: 'Good enough to plan. Measure before you order or cut: type the measured length ' .
                        'instead, and remove the line “said”. Decisions stay.',
                );
            }
            foreach ($sheet->slips as $slip) {
                $fixes = [];
                if ($slip->instead !== null) {
                    $fixes = [
                        new Fix(
                            "Type {$slip->instead}",
                            ReviseNotes::payload(place: $id, text: (new WallText($place->notes))->mended($slip)),
                        ),
                    ];
                }
                $findings[] = $this->rule('slip')->stop(
                    place: new FindingPlace(JobStage::Survey, "{$id}:{$slip->line}"),
                    title: "Line {$slip->line} is not understood",
                    detail: $slip->message,
                    fixes: $fixes,
                );
            }
            if ($sheet->slips === []) {
                array_push($findings, ...$this->lost($state->plan->runs, $id, $words[$id] ?? []));
            }
            if (trim($place->notes) === '') {
                $findings[] = $this->rule('no-notes')->open(
                    place: new FindingPlace(JobStage::Survey, $id),
                    title: $place->name . ' is not measured yet',
                    detail: 'Type the first line of wall notes, such as “start door”.',
                );
            }
        }

        return $findings;
    }

    /**
     * @param  array<string, Run>  $runs
     * @param  array<string, true>  $words
     * @return list<Finding>
     */
    private function lost(array $runs, string $place, array $words): array
    {
        $lost = array_filter($runs, static fn(Run $r): bool => $r->place === $place && !isset($words[$r->word]));

        return array_values(
            array_map(
                fn(Run $r): Finding => $this->rule('run-lost')->open(
                    place: new FindingPlace(JobStage::Survey, $place),
                    title: "{$r->name()} is no longer in the notes",
                    detail: sprintf(
                        'Its %.2f m, kit and feeds are kept. Type its name on a wall again, or delete it.',
                        $r->length(),
                    ),
                    fixes: [new Fix("Delete {$r->name()}", DropRun::payload(run: $r->id))],
                ),
                $lost,
            ),
        );
    }
}
