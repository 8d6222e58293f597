<?php

declare(strict_types=1);

namespace EmberDusk\Advice;

use EmberDusk\Advice\Works\BuildDesk;
use EmberDusk\Advice\Works\PartsDesk;
use EmberDusk\Checks\Findings;
use EmberDusk\Job\JobState;
use EmberDusk\Plan\Document;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Trouble;

/** What a stage shows: the stage strip, the slate, the ledger and the stage's picture. */
final readonly class Desk
{
    /**
     * @return array<string, mixed> as in core/schema/responses.json, $defs/desk
     *
     * @throws Trouble when there is no such stage
     */
    public static function of(string $stage, JobState $state): array
    {
        $findings = Findings::of($state);
        [$picture, $ledger] = match ($stage) {
            'survey' => [SurveyDesk::picture($state), SurveyDesk::ledger($state)],
            'kit' => [KitDesk::picture($state), KitDesk::ledger($state)],
            'wire' => [WireDesk::picture($state), WireDesk::ledger($state)],
            'build' => [BuildDesk::picture($state), BuildDesk::ledger($state)],
            'parts' => [PartsDesk::picture($state), PartsDesk::ledger($state)],
            'join', 'handover' => [null, WireDesk::ledger($state)],
            default => throw new Trouble("There is no stage “{$stage}”."),
        };

        return [
            'job' => $state->plan->name,
            'client' => $state->plan->client,
            'stage' => $stage,
            'limits' => Document::write($state->plan)['limits'],
            'joinable' =>
                $state->plan->hubs !== [] &&
                array_filter(
                    array_keys($state->plan->controllers),
                    static fn(string $id): bool => $state->plan->controller($id)?->profile !== null,
                ) !== [],
            'stages' => Stages::of($state, $findings),
            'findings' => array_map(static fn(Finding $f): array => $f->toArray(), $findings),
            'ledger' => array_map(static fn(Figure $f): array => $f->toArray(), $ledger),
            'survey' => $stage === 'survey' ? $picture : null,
            'kit' => $stage === 'kit' ? $picture : null,
            'wire' => $stage === 'wire' ? $picture : null,
            'parts' => $stage === 'parts' ? $picture : null,
            'build' => $stage === 'build' ? $picture : null,
        ];
    }
}
