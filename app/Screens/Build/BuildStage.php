<?php

declare(strict_types=1);

namespace App\Screens\Build;

use App\Screens\Stage;
use EmberDusk\Job\JobState;
use EmberDusk\Schedule\Step;
use EmberDusk\Values\JobStage;

/** The steps of the work on their days; who ticks none may hand over all the same. */
final readonly class BuildStage implements Stage
{
    public function key(): JobStage
    {
        return JobStage::Build;
    }

    public function digit(): int
    {
        return 5;
    }

    public function name(): string
    {
        return 'Build';
    }

    public function page(): string
    {
        return 'Build';
    }

    public function picture(JobState $state): BuildPicture
    {
        return BuildScreen::picture($state);
    }

    public function ledger(JobState $state): array
    {
        return BuildScreen::ledger($state);
    }

    public function begun(JobState $state): bool
    {
        return $state->ticks !== [];
    }

    public function open(JobState $state): int
    {
        if ($this->begun($state)) {
            return count(
                array_filter($state->schedule()->steps, static fn(Step $s): bool => !isset($state->ticks[$s->id])),
            );
        }

        return 0;
    }

    public function optional(): bool
    {
        return true;
    }
}
