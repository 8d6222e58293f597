<?php

declare(strict_types=1);

namespace App\Screens\Join;

use App\Screens\Stage;
use App\Screens\Wire\WireScreen;
use EmberDusk\Job\JobState;
use EmberDusk\Values\JobStage;

/** Resetting and joining controllers. Its runs are sent apart. */
final readonly class JoinStage implements Stage
{
    public function key(): JobStage
    {
        return JobStage::Join;
    }

    public function digit(): int
    {
        return 7;
    }

    public function name(): string
    {
        return 'Join';
    }

    public function page(): ?string
    {
        return null;
    }

    public function picture(JobState $state): null
    {
        return null;
    }

    public function ledger(JobState $state): array
    {
        return WireScreen::ledger($state);
    }

    public function begun(JobState $state): bool
    {
        return $state->joined !== [];
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
