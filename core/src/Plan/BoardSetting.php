<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

/** A number to enter in a pixel board: which, its value as text, and the reason. */
final readonly class BoardSetting
{
    /** @param  list<string>  $runs  ids of the runs that it is for; none: all of the board */
    public function __construct(
        public string $what,
        public string $value,
        public string $why,
        public array $runs = [],
    ) {}

    public function words(): string
    {
        return "{$this->what}: {$this->value}";
    }
}
