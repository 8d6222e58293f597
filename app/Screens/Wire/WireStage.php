<?php

declare(strict_types=1);

namespace App\Screens\Wire;

use App\Screens\Stage;
use EmberDusk\Job\JobState;
use EmberDusk\Values\JobStage;

/** Feeds, cables, supplies and the resulting light. */
final readonly class WireStage implements Stage
{
    public function key(): JobStage
    {
        return JobStage::Wire;
    }

    public function digit(): int
    {
        return 3;
    }

    public function name(): string
    {
        return 'Wire';
    }

    public function page(): string
    {
        return 'Wire';
    }

    public function picture(JobState $state): WirePicture
    {
        return WireScreen::picture($state);
    }

    public function ledger(JobState $state): array
    {
        return WireScreen::ledger($state);
    }

    public function begun(JobState $state): bool
    {
        return $state->plan->cables !== [];
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
