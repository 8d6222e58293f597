<?php

declare(strict_types=1);

namespace EmberDusk\Control;

use EmberDusk\Plan\Trigger;

/** Two triggers of one priority that want different things of the same lights. */
final readonly class TriggerFight
{
    /** @param  list<string>  $lights */
    public function __construct(public Trigger $one, public Trigger $other, public array $lights) {}
}
