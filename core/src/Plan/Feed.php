<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

/** A feed point of a run: the pad that it is joined to, counted from the run's start. */
final readonly class Feed
{
    public function __construct(public string $id, public string $run, public int $pad) {}
}
