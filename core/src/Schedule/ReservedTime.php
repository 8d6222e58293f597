<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

/** Time kept free for a step that was moved there. */
final readonly class ReservedTime
{
    /**
     * @param  non-empty-list<int>  $people
     * @param  array<string, true>  $before  the steps before it, which may take that time
     */
    public function __construct(public int $from, public int $to, public array $people, public array $before) {}
}
