<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

/** A feed point: volts between + and the worst return at its pad, and amps that enter there. */
final readonly class FeedResult
{
    public function __construct(public string $id, public float $volts, public float $amps) {}
}
