<?php

declare(strict_types=1);

namespace EmberDusk\Survey\Site;

/** Cores and size of a cable as noted: 3x2.5. */
final readonly class CableSize
{
    /** @param  string  $system  mm2 or awg */
    public function __construct(public int $cores, public string $system, public float $size) {}
}
