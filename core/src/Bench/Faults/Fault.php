<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Faults;

/** One fault in an island as built. */
final readonly class Fault
{
    /**
     * @param  string  $place  "w3:to:1", "k2", "w3", "s1", "c1", "cove", "band:2"
     * @param  float  $size  ohms, a factor, volts as a share, amps, or a share of the run: as its kind has it
     * @param  list<string>  $resistors  that it changes, by name, where it changes any
     */
    public function __construct(
        public FaultKind $kind,
        public string $place,
        public float $size = 1.0,
        public array $resistors = [],
    ) {}

    /** KIND@PLACE */
    public function name(): string
    {
        return "{$this->kind->value}@{$this->place}";
    }

    /** Its class and place: what reading can name. */
    public function class(): string
    {
        return "{$this->kind->class()}@{$this->place}";
    }

    public function sized(float $size): self
    {
        return new self($this->kind, $this->place, $size, $this->resistors);
    }
}
