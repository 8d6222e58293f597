<?php

declare(strict_types=1);

namespace EmberDusk\Survey;

/** An opening inside a wall: its length, its distance from the wall's start (metres), and its kind. */
final readonly class Gap
{
    public function __construct(public float $length, public float $at, public string $what) {}
}
