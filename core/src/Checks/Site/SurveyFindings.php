<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Site;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\Judged;
use EmberDusk\Checks\Rule;
use EmberDusk\Job\JobState;
use EmberDusk\Plan\Changes\Places\ReviseNotes;
use EmberDusk\Plan\Changes\Runs\DropRun;
use EmberDusk\Plan\Run;
use EmberDusk\Survey\TapeNotes;
use EmberDusk\Survey\TapeText;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Fix;
use EmberDusk\Values\Place;
use EmberDusk\Values\Severity;

/** What the tape notes leave open: lines that cannot be read, places that are not measured, runs that are gone from them. */
final readonly class SurveyFindings implements Check
{
    public function rules(): array
    {
        return [
            new Rule('slip', 'place', 'every line of the tape notes can be read', Rule::OWN),
            new Rule('run-lost', 'run', 'every run of the plan is in the notes', Rule::OWN),
            new Rule('no-notes', 'place', 'every place is measured', Rule::OWN),
            new Rule('said', 'place', 'lengths are measured, not only said', Rule::OWN),
        ];
    }

    public function check(Judged $job): array
    {
        return self::of($job->state);
    }

    /** @return list<Finding> */
    public static function of(JobState $state): array
    {
        $findings = [];
        $words = [];
        foreach ($state->plan->places as $id => $place) {
            $sheet = TapeNotes::read($place->notes);
            foreach (array_keys($sheet->runs) as $word) {
                $words[$id][$word] = true;
            }
            if ($sheet->site->said) {
                $findings[] = new Finding(
                    code: 'said',
                    severity: Severity::Open,
                    title: "{$place->name}: lengths are as somebody said them",
                    detail: 'Enough to choose and to plan. Measure before anything is ordered or cut: type what the ' .
                        'tape says in its place, and take the line “said” out. What was decided stays.',
                    place: new Place('survey', $id),
                );
            }
            foreach ($sheet->slips as $slip) {
                $fixes = [];
                if ($slip->instead !== null) {
                    $fixes = [
                        new Fix(
                            "Write {$slip->instead}",
                            ReviseNotes::payload(place: $id, text: TapeText::mended($place->notes, $slip)),
                        ),
                    ];
                }
                $findings[] = new Finding(
                    code: 'slip',
                    severity: Severity::Stop,
                    title: "Line {$slip->line} cannot be read",
                    detail: $slip->message,
                    place: new Place('survey', "{$id}:{$slip->line}"),
                    fixes: $fixes,
                );
            }
            if ($sheet->slips === []) {
                array_push($findings, ...self::lost($state->plan->runs, $id, $words[$id] ?? []));
            }
            if (trim($place->notes) === '') {
                $findings[] = new Finding(
                    code: 'no-notes',
                    severity: Severity::Open,
                    title: $place->name . ' is not measured yet',
                    detail: 'Type the first line of tape notes, such as “start door”.',
                    place: new Place('survey', $id),
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
    private static function lost(array $runs, string $place, array $words): array
    {
        $lost = array_filter($runs, static fn(Run $r): bool => $r->place === $place && !isset($words[$r->word]));

        return array_values(
            array_map(
                static fn(Run $r): Finding => new Finding(
                    code: 'run-lost',
                    severity: Severity::Open,
                    title: "{$r->name()} is no longer in the notes",
                    detail: sprintf(
                        'Its %.2f m, kit and feeds are kept. Write its word on a leg again, or drop it.',
                        $r->length(),
                    ),
                    place: new Place('survey', $place),
                    fixes: [new Fix("Drop {$r->name()}", DropRun::payload(run: $r->id))],
                ),
                $lost,
            ),
        );
    }
}
