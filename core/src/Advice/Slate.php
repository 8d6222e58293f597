<?php

declare(strict_types=1);

namespace EmberDusk\Advice;

use EmberDusk\Advice\Works\BuildDesk;
use EmberDusk\Advice\Works\PartsDesk;
use EmberDusk\Circuit\Rules\Book;
use EmberDusk\Circuit\Rules\Judged;
use EmberDusk\Circuit\Rules\Lamps;
use EmberDusk\Circuit\Rules\Meets;
use EmberDusk\Circuit\Rules\Modules;
use EmberDusk\Job\JobState;
use EmberDusk\Plan\Run;
use EmberDusk\Survey\TapeNotes;
use EmberDusk\Survey\TapeText;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Fix;
use EmberDusk\Values\Place;
use EmberDusk\Values\Severity;
use EmberDusk\Values\Trouble;

/** Everything that is wrong or undecided in a job, worst first. */
final readonly class Slate
{
    /** @return list<Finding> */
    public static function of(JobState $state): array
    {
        $findings = [...self::survey($state), ...SiteSlate::of($state)];
        if ($state->plan->runs !== [] && $state->plan->hubs === []) {
            $findings[] = new Finding(
                'no-hub',
                Severity::Open,
                'No hub yet',
                'Phones reach a Zigbee controller through a hub.',
                new Place('kit', 'hub'),
            );
        }
        foreach ($state->plan->runs as $id => $run) {
            array_push($findings, ...Book::check(new Judged($state->plan, $run, $state->result($id), $state->shelf)));
            $trouble = $state->results[$id] ?? null;
            if ($trouble instanceof Trouble && \EmberDusk\Circuit\WiredRun::of($state->plan, $run) !== null) {
                $findings[] = new Finding(
                    'unsolved',
                    Severity::Stop,
                    $run->name() . ' has no solution',
                    $trouble->getMessage(),
                    new Place('wire', $id),
                );
            }
        }
        foreach ($state->plan->fixtures as $id => $fitting) {
            array_push($findings, ...Lamps::check($state->plan, $fitting, $state->fitting($id), $state->shelf));
            $trouble = $state->results[$id] ?? null;
            if ($trouble instanceof Trouble) {
                $findings[] = new Finding(
                    'collapse',
                    Severity::Stop,
                    strtoupper($id) . ': voltage collapse',
                    $trouble->getMessage(),
                    new Place('wire', $id),
                );
            }
        }
        array_push(
            $findings,
            ...Modules::check($state->plan, $state->shelf),
            ...SceneSlate::of($state),
            ...self::trials($state),
            ...Meets::check(
                $state->plan,
                array_filter(
                    array_map(
                        $state->result(...),
                        array_combine(array_keys($state->plan->runs), array_keys($state->plan->runs)),
                    ),
                ),
            ),
        );
        foreach (array_keys($state->plan->controllers) as $id) {
            if ($state->plan->controller($id)?->profile !== null && !in_array($id, $state->joined, true)) {
                $findings[] = new Finding(
                    'not-joined',
                    Severity::Open,
                    strtoupper($id) . ' is not joined yet',
                    'Nothing but its own key switches it so far.',
                    new Place('join', $id),
                );
            }
        }

        array_push($findings, ...PartsDesk::findings($state), ...BuildDesk::findings($state));

        return Finding::worstFirst($findings);
    }

    /** @return list<Finding> solderless trial boards that are counted on for permanent work */
    private static function trials(JobState $state): array
    {
        $findings = [];
        foreach (array_keys($state->plan->owned) as $id) {
            $kit = $state->plan->kit[$id] ?? null;
            if ($kit !== null && ($kit->written['trial'] ?? false) === true) {
                $findings[] = new Finding(
                    'trial',
                    Severity::Watch,
                    $kit->entry->name() . ' is for trying only',
                    'Its contacts loosen. Permanent work gets a soldered or screwed board with a fuse, reverse protection, level shifter and capacitor.',
                    new Place('kit', ''),
                    null,
                    null,
                    'common practice, no source',
                    [new Fix('Do not count on it', ['kind' => 'SetOwned', 'kit' => $id, 'count' => 0])],
                );
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private static function survey(JobState $state): array
    {
        $findings = [];
        $words = [];
        foreach ($state->plan->places as $id => $place) {
            $sheet = TapeNotes::read($place->notes);
            foreach (array_keys($sheet->runs) as $word) {
                $words[$id][$word] = true;
            }
            foreach ($sheet->slips as $slip) {
                $findings[] = new Finding(
                    'slip',
                    Severity::Stop,
                    "Line {$slip->line} cannot be read",
                    $slip->message,
                    new Place('survey', "{$id}:{$slip->line}"),
                    null,
                    null,
                    '',
                    $slip->instead === null
                        ? []
                        : [
                            new Fix("Write {$slip->instead}", [
                                'kind' => 'ReviseNotes',
                                'place' => $id,
                                'text' => TapeText::mended($place->notes, $slip),
                            ]),
                        ],
                );
            }
            if ($sheet->slips === []) {
                array_push($findings, ...self::lost($state->plan->runs, $id, $words[$id] ?? []));
            }
            if (trim($place->notes) === '') {
                $findings[] = new Finding(
                    'no-notes',
                    Severity::Open,
                    $place->name . ' is not measured yet',
                    'Type the first line of tape notes, such as “start door”.',
                    new Place('survey', $id),
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
                    'run-lost',
                    Severity::Open,
                    "{$r->name()} is no longer in the notes",
                    sprintf(
                        'Its %.2f m, kit and feeds are kept. Write its word on a leg again, or drop it.',
                        $r->length(),
                    ),
                    new Place('survey', $place),
                    null,
                    null,
                    '',
                    [new Fix("Drop {$r->name()}", ['kind' => 'DropRun', 'run' => $r->id])],
                ),
                $lost,
            ),
        );
    }
}
