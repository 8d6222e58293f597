<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

/** What a joined controller is called in the hub's app, and in which room. The id is the controller's. */
final readonly class Light
{
    public function __construct(public string $id, public string $name, public string $room) {}
}
