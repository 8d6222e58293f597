<?php

declare(strict_types=1);

namespace EmberDusk\Rates;

/** Joints of a cable, in cores: soldered or otherwise made, and put into the terminals of a unit. */
final readonly class CableJoints
{
    public function __construct(public int $made, public int $terminals) {}

    public function all(): int
    {
        return $this->made + $this->terminals;
    }
}
