<?php

declare(strict_types=1);

namespace App\Screens;

use App\Screens\Bench\AcceptedPoint;
use EmberDusk\Bench\Log\LogEntry;
use EmberDusk\Checks\Findings;
use EmberDusk\Checks\GroupedFindings;
use EmberDusk\Job\JobState;
use EmberDusk\Plan\Document;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Refusal;

/** Screen of a stage: the stage strip, the open points, the ledger and the stage's picture. */
final readonly class Screen
{
    /**
     * @return array<string, mixed> as in app/Screens/screen.json, $defs/desk
     *
     * @throws Refusal when there is no such stage
     */
    public static function for(string $stage, JobState $state): array
    {
        $shown = Stages::get($stage);
        $findings = Findings::for($state);
        $pictures = [];
        foreach (Stages::shown() as $key) {
            $pictures[$key] = $key === $stage ? $shown->picture($state)?->write() : null;
        }

        return [
            'job' => $state->plan->name,
            'client' => $state->plan->client,
            'stage' => $stage,
            'limits' => Document::write($state->plan)['limits'],
            'stages' => Stages::lamps($state, $findings),
            'findings' => array_map(static fn(Finding $f): array => $f->write(), $findings),
            'accepted' => array_map(
                static fn(LogEntry $e): array => AcceptedPoint::from($e, $state->zone)->write(),
                Findings::accepted($state),
            ),
            'slate' => array_map(static fn(GroupedFindings $s): array => $s->write(), GroupedFindings::from($findings)),
            'ledger' => array_values(
                array_map(
                    static fn(Figure $f): array => $f->write(),
                    array_filter(
                        $shown->ledger($state),
                        static fn(Figure $f): bool => $state->priced || $f->unit !== $state->plan->terms->currency,
                    ),
                ),
            ),
            ...$pictures,
        ];
    }
}
