<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

/**
 * What a cable carries: amps out on its first core and back on the fullest other, volts lost both ways, and the most
 * amps of any core, also with another feed open where that could be too much.
 */
final readonly class CableResult
{
    public function __construct(
        public string $id,
        public float $outAmps,
        public float $backAmps,
        public float $drop,
        public float $openAmps,
        public float $coreOhms,
    ) {}

    /** Amps of the fullest core. */
    public function amps(): float
    {
        return max($this->outAmps, $this->backAmps);
    }
}
