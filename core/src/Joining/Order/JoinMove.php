<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Order;

/** Tasks that are done together or alone as the next thing. */
final readonly class JoinMove
{
    /** @param  non-empty-list<int>  $numbers  of the tasks, in their order */
    public function __construct(public array $numbers, public MoveCost $cost) {}
}
