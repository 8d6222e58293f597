<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

/** What a cable carries: amps of its fullest core, volts lost out and back, and the most amps with another feed open. */
final readonly class CableResult
{
    public function __construct(
        public string $id,
        public float $amps,
        public float $drop,
        public float $openAmps,
        public float $coreOhms,
    ) {}
}
