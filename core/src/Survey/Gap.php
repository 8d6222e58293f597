<?php

declare(strict_types=1);

namespace EmberDusk\Survey;

/** An opening inside a leg: its length, where it starts from the leg's start (metres), and what it is. */
final readonly class Gap
{
    public function __construct(public float $length, public float $at, public string $what) {}
}
