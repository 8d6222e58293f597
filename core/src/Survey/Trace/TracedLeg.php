<?php

declare(strict_types=1);

namespace EmberDusk\Survey\Trace;

/** A leg to trace: its name, its far end (null if unknown), its cores. */
final readonly class TracedLeg
{
    public function __construct(public string $name, public ?string $to, public int $cores) {}
}
