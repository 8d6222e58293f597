<?php

declare(strict_types=1);

namespace EmberDusk\Survey\Trace;

/** A leg to be traced: its name, where its far end is (null while nobody knows), its cores. */
final readonly class TracedLeg
{
    public function __construct(public string $name, public ?string $to, public int $cores) {}
}
