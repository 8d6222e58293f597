<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

/** What was computed of fixtures on a cable: volts at them, amps that they take together, the cables on their way. */
final readonly class FixtureResult
{
    /** @param  array<string, CableResult>  $cables */
    public function __construct(
        public float $volts,
        public float $amps,
        public array $cables,
        public float $least,
        public float $watts,
    ) {}
}
