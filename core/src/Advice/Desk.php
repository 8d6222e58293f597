<?php

declare(strict_types=1);

namespace EmberDusk\Advice;

use EmberDusk\Advice\Works\BuildDesk;
use EmberDusk\Advice\Works\PartsDesk;
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
    public static function of(string $stage, Work $work): array
    {
        $findings = Slate::of($work);
        [$picture, $ledger] = match ($stage) {
            'survey' => [SurveyDesk::picture($work), SurveyDesk::ledger($work)],
            'kit' => [KitDesk::picture($work), KitDesk::ledger($work)],
            'wire' => [WireDesk::picture($work), WireDesk::ledger($work)],
            'build' => [BuildDesk::picture($work), BuildDesk::ledger($work)],
            'parts' => [PartsDesk::picture($work), PartsDesk::ledger($work)],
            'join', 'handover' => [null, WireDesk::ledger($work)],
            default => throw new Trouble("There is no stage “{$stage}”."),
        };

        return [
            'job' => $work->plan->name,
            'client' => $work->plan->client,
            'stage' => $stage,
            'limits' => Document::write($work->plan)['limits'],
            'joinable' =>
                $work->plan->hubs !== [] &&
                array_filter(
                    array_keys($work->plan->controllers),
                    static fn(string $id): bool => $work->plan->controller($id)?->profile !== null,
                ) !== [],
            'stages' => Stages::of($work, $findings),
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
