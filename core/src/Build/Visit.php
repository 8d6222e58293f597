<?php

declare(strict_types=1);

namespace EmberDusk\Build;

/** How a job is gone about: how many people, from which day, and which steps are done with the minutes that they took. */
final readonly class Visit
{
    /**
     * @param  string  $start  YYYY-MM-DD
     * @param  array<string, int>  $ticks  minutes taken, by step
     */
    public function __construct(public int $people = 1, public string $start = '', public array $ticks = [])
    {
    }
}
