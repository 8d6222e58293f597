<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

/** Something that has to be at hand before the first window opens. */
final readonly class Prerequisite
{
    public function __construct(public string $key, public string $what, public string $detail) {}
}
