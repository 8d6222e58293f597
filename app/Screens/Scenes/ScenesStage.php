<?php

declare(strict_types=1);

namespace App\Screens\Scenes;

use App\Screens\Stage;
use App\Screens\Wire\WireScreen;
use EmberDusk\Job\JobState;
use EmberDusk\Values\JobStage;

/** The control matrix, names, and the scenes. A job may be handed over without it. */
final readonly class ScenesStage implements Stage
{
    public function key(): JobStage
    {
        return JobStage::Scenes;
    }

    public function digit(): int
    {
        return 8;
    }

    public function name(): string
    {
        return 'Scenes';
    }

    public function page(): string
    {
        return 'Scenes';
    }

    public function picture(JobState $state): ScenesPicture
    {
        return ScenesScreen::picture($state);
    }

    public function ledger(JobState $state): array
    {
        return WireScreen::ledger($state);
    }

    public function begun(JobState $state): bool
    {
        return $state->plan->answers !== [] || $state->worked !== [];
    }

    public function open(JobState $state): int
    {
        return 0;
    }

    public function optional(): bool
    {
        return true;
    }
}
