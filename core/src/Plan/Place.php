<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

/** A room or other place of the job, with its tape notes as typed. */
final readonly class Place
{
    public function __construct(public string $id, public string $name, public string $notes) {}
}
