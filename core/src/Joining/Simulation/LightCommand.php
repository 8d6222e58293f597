<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Simulation;

/** Command of a control to a light: off, or a level with its planned colour. */
final readonly class LightCommand
{
    /** Every light is tried so at the end (docs/model.md 11). */
    public const LEVELS = [1.0, 0.0, 0.1, 0.8];

    public function __construct(public float $level) {}
}
