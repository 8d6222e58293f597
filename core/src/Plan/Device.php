<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

/** A supply, controller or hub of the job: one unit of a shelf entry. */
final readonly class Device
{
    public function __construct(public string $id, public string $kit)
    {
    }
}
