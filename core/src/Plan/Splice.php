<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

/** A place where cables meet, core on core: a tap on a leg that runs past, a branch. */
final readonly class Splice
{
    public function __construct(public string $id, public string $where) {}
}
