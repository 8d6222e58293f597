<?php

declare(strict_types=1);

namespace App\Screens;

use App\Screens\Bench\AcceptedPoint;
use App\Screens\Desk\Desk;
use App\Screens\Desk\Pictures;
use EmberDusk\Bench\Log\LogEntry;
use EmberDusk\Checks\Findings;
use EmberDusk\Checks\GroupedFindings;
use EmberDusk\Job\JobState;
use EmberDusk\Values\Figure;
use EmberDusk\Values\JobStage;
use EmberDusk\Values\Refusal;

/** Screen of a stage: the stage strip, the open points, the ledger and the stage's picture. */
final readonly class Screen
{
    /** @throws Refusal when there is no such stage */
    public static function for(JobStage $stage, JobState $state): Desk
    {
        $shown = Stages::get($stage);
        $findings = (new Findings($state))->for();

        return new Desk(
            job: $state->plan->name,
            client: $state->plan->client,
            stage: $stage->value,
            limits: $state->plan->limits,
            stages: Stages::lamps($state, $findings),
            findings: $findings,
            accepted: array_map(
                static fn(LogEntry $e): AcceptedPoint => AcceptedPoint::from($e, $state->zone),
                (new Findings($state))->accepted(),
            ),
            slate: GroupedFindings::from($findings),
            ledger: array_values(
                array_filter(
                    $shown->ledger($state),
                    static fn(Figure $f): bool => $state->priced || $f->unit !== $state->plan->terms->currency,
                ),
            ),
            pictures: new Pictures($stage, $shown->picture($state)),
        );
    }
}
