<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\TouchLink\Simulation;

use EmberDusk\Joining\Families\Zigbee\Simulation\SimulatedController;

/** A link that a controller takes. */
final readonly class TakenLink
{
    /**
     * @param  float  $seconds  until it is done
     * @param  string  $network  in which both are then
     */
    public function __construct(
        public SimulatedController $controller,
        public float $seconds,
        public string $network,
    ) {}
}
