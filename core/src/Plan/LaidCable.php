<?php

declare(strict_types=1);

namespace EmberDusk\Plan;

/** A cable from one thing to another (supply to controller, controller to feed), one-way length in metres. */
final readonly class LaidCable
{
    /** @param  bool  $reckoned true while the length is reckoned along the run and nobody has measured it */
    public function __construct(
        public string $id,
        public string $kit,
        public string $from,
        public string $to,
        public float $length,
        public bool $reckoned,
    ) {
    }
}
