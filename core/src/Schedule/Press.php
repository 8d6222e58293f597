<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

/** A press on the tick of a step or of a test: done, or not done after all. */
final readonly class Press
{
    /**
     * @param  string  $at  YYYY-MM-DD HH:MM
     */
    public function __construct(public string $id, public bool $done, public int $minutes, public string $at) {}
}
