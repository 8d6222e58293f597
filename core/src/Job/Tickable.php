<?php

declare(strict_types=1);

namespace EmberDusk\Job;

use EmberDusk\Schedule\Step;

/** A step of the work, or a test within one, that can be ticked: its step and the words that the tick keeps. */
final readonly class Tickable
{
    public function __construct(public Step $step, public string $title) {}
}
