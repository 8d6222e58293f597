<?php

declare(strict_types=1);

namespace App\Screens\Kit;

use App\Screens\Stage;
use EmberDusk\Job\JobState;
use EmberDusk\Values\JobStage;

/** Chosen kit of every run. */
final readonly class KitStage implements Stage
{
    public function key(): JobStage
    {
        return JobStage::Kit;
    }

    public function digit(): int
    {
        return 2;
    }

    public function name(): string
    {
        return 'Kit';
    }

    public function page(): string
    {
        return 'Kit';
    }

    public function picture(JobState $state): KitPicture
    {
        return KitScreen::picture($state);
    }

    public function ledger(JobState $state): array
    {
        return KitScreen::ledger($state);
    }

    public function begun(JobState $state): bool
    {
        return $state->plan->kit !== [];
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
