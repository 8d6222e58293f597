<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Order;

/** Time of a move, and the state after it. */
final readonly class MoveCost
{
    /**
     * @param  string  $place  where the hands are then
     * @param  array<string, true>  $powered  devices that have power then
     */
    public function __construct(public int $seconds, public string $place, public array $powered) {}
}
