<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Simulation;

use EmberDusk\Kit\Profiles\Signal;

/** A pattern that a lamp or load began to show. */
final readonly class ShownSignal
{
    public function __construct(public float $at, public string $name, public Signal $signal) {}
}
