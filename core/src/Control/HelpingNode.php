<?php

declare(strict_types=1);

namespace EmberDusk\Control;

/** One more node half way between two, and what it gains. */
final readonly class HelpingNode
{
    /** @param  int  $count  nodes that are reached then, or whose loss still loses others */
    public function __construct(public string $one, public string $other, public int $count) {}
}
