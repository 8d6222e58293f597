<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

/** A step that is done: the minutes that it took, and when it was ticked off. */
final readonly class Tick
{
    /** @param  string  $at  YYYY-MM-DD HH:MM */
    public function __construct(public string $step, public int $minutes, public string $at) {}
}
