<?php

declare(strict_types=1);

namespace App\Screens\Survey;

use App\Screens\Stage;
use EmberDusk\Job\JobState;
use EmberDusk\Plan\Place;
use EmberDusk\Values\JobStage;

/** The wall notes and what they say. */
final readonly class SurveyStage implements Stage
{
    public function key(): JobStage
    {
        return JobStage::Survey;
    }

    public function digit(): int
    {
        return 1;
    }

    public function name(): string
    {
        return 'Survey';
    }

    public function page(): string
    {
        return 'Survey';
    }

    public function picture(JobState $state): SurveyPicture
    {
        return SurveyScreen::picture($state);
    }

    public function ledger(JobState $state): array
    {
        return SurveyScreen::ledger($state);
    }

    public function begun(JobState $state): bool
    {
        return array_filter($state->plan->places, static fn(Place $p): bool => trim($p->notes) !== '') !== [];
    }

    public function open(JobState $state): int
    {
        return 0;
    }

    public function optional(): bool
    {
        return false;
    }
}
