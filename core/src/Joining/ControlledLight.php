<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

/** A light that a control is to work; the zone where the control has zones. */
final readonly class ControlledLight
{
    /** @param  int  $zone  from 1; 0 where the control has none */
    public function __construct(public string $control, public string $light, public int $zone = 0) {}

    public function key(): string
    {
        return "{$this->control} {$this->light}";
    }
}
