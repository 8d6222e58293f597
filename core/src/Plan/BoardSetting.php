<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

/** A number to enter in a pixel board: which, its value as text, and the reason. */
final readonly class BoardSetting
{
    /** @param  string|null  $run  id of the run that it is for; null for all of the board */
    public function __construct(
        public string $what,
        public string $value,
        public string $why,
        public ?string $run = null,
    ) {}

    public function words(): string
    {
        return "{$this->what}: {$this->value}";
    }
}
