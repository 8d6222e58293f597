<?php

declare(strict_types=1);

namespace App\Screens;

use EmberDusk\Job\JobState;
use EmberDusk\Values\Figure;
use EmberDusk\Values\JobStage;

/** One stage of a job: its name, the data of its screen, its state. A stage is a folder and a line in {@see Stages}. */
interface Stage
{
    /** As in addresses and in the places of findings. */
    public function key(): JobStage;

    /** The key on the keyboard that goes to it. */
    public function digit(): int;

    public function name(): string;

    /** The page that shows it; null where its own controller does. */
    public function page(): ?string;

    /** Data of its screen; null if it has only ledger and open points. */
    public function picture(JobState $state): ?View;

    /** @return list<Figure> the few totals that matter here */
    public function ledger(JobState $state): array;

    /** Whether anything of it was done. */
    public function begun(JobState $state): bool;

    /** Its open items besides findings. */
    public function open(JobState $state): int;

    /** Whether a job may be handed over without it. */
    public function optional(): bool;
}
