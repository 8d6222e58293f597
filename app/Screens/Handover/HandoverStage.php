<?php

declare(strict_types=1);

namespace App\Screens\Handover;

use App\Screens\Stage;
use App\Screens\Wire\WireScreen;
use EmberDusk\Job\JobState;
use EmberDusk\Values\JobStage;

/** The sheet. It is lit once every stage before it is. */
final readonly class HandoverStage implements Stage
{
    public function key(): JobStage
    {
        return JobStage::HandOver;
    }

    public function digit(): int
    {
        return 9;
    }

    public function name(): string
    {
        return 'Hand over';
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
        return true;
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
