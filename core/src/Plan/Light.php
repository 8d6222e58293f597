<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

/** Name and room of a joined controller in the hub's app. The id is the controller's. */
final readonly class Light
{
    public function __construct(public string $id, public string $name, public string $room) {}
}
