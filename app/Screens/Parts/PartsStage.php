<?php

declare(strict_types=1);

namespace App\Screens\Parts;

use App\Screens\Stage;
use EmberDusk\Job\JobState;
use EmberDusk\Parts\Mark;
use EmberDusk\Parts\Part;
use EmberDusk\Values\JobStage;

/** Buying, cutting and packing; hand-over is possible without a list. */
final readonly class PartsStage implements Stage
{
    public function key(): JobStage
    {
        return JobStage::Parts;
    }

    public function digit(): int
    {
        return 4;
    }

    public function name(): string
    {
        return 'Parts';
    }

    public function page(): string
    {
        return 'Parts';
    }

    public function picture(JobState $state): PartsPicture
    {
        return PartsScreen::picture($state);
    }

    public function ledger(JobState $state): array
    {
        return PartsScreen::ledger($state);
    }

    public function begun(JobState $state): bool
    {
        return array_filter($state->marks, static fn(Mark $m): bool => $m->state !== '') !== [];
    }

    public function open(JobState $state): int
    {
        if ($this->begun($state)) {
            return count(
                array_filter(
                    $state->schedule()->parts->parts,
                    static fn(Part $p): bool => $p->paid() > 0 && $state->schedule()->mark($p)->missing(),
                ),
            );
        }

        return 0;
    }

    public function optional(): bool
    {
        return true;
    }
}
