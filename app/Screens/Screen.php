<?php

declare(strict_types=1);

namespace App\Screens;

use App\Screens\Build\BuildScreen;
use App\Screens\Kit\KitScreen;
use App\Screens\Parts\PartsScreen;
use App\Screens\Survey\SurveyScreen;
use App\Screens\Wire\WireScreen;
use EmberDusk\Checks\Findings;
use EmberDusk\Job\JobState;
use EmberDusk\Plan\Document;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Trouble;

/** What a stage shows: the stage strip, the slate, the ledger and the stage's picture. */
final readonly class Screen
{
    /**
     * @return array<string, mixed> as in app/Screens/screen.json, $defs/desk
     *
     * @throws Trouble when there is no such stage
     */
    public static function of(string $stage, JobState $state): array
    {
        $findings = Findings::of($state);
        [$picture, $ledger] = match ($stage) {
            'survey' => [SurveyScreen::picture($state), SurveyScreen::ledger($state)],
            'kit' => [KitScreen::picture($state), KitScreen::ledger($state)],
            'wire' => [WireScreen::picture($state), WireScreen::ledger($state)],
            'build' => [BuildScreen::picture($state), BuildScreen::ledger($state)],
            'parts' => [PartsScreen::picture($state), PartsScreen::ledger($state)],
            'join', 'handover' => [null, WireScreen::ledger($state)],
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
