<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Changes\Wires;

/** The cable to one feed, by its pad. */
final readonly class TailWire
{
    public function __construct(public int $pad, public Wire $wire) {}

    /** @return array<string, mixed> */
    public function write(): array
    {
        return ['pad' => $this->pad, ...$this->wire->write()];
    }
}
