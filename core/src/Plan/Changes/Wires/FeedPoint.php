<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Wires;

use EmberDusk\Formats\Fields;
use EmberDusk\Plan\CutMarks;

/** A point to feed a run at: a pad by its number, or the pad nearest to metres from the run's start. */
final readonly class FeedPoint
{
    private function __construct(private ?int $pad, private float $metres = 0.0) {}

    /** Reads `at` in metres, or `pad`. */
    public static function read(Fields $f): self
    {
        $metres = $f->numberOrNull('at', 0, 10_000);

        return $metres === null ? new self($f->whole('pad', 0, 400_000)) : new self(null, $metres);
    }

    public function pad(CutMarks $marks): int
    {
        return $this->pad ?? $marks->nearest($this->metres);
    }
}
