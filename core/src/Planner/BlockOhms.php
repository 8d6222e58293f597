<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

/** Ohms that all runs of a block share: both cores of the trunk, and inside the controller. */
final readonly class BlockOhms
{
    public function __construct(public float $trunk, public float $controller) {}
}
