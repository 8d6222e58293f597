<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Simulation;

/** A time in which a device waits for something: it came, it was broken off, or it ran out. Run seconds. */
final readonly class Window
{
    public const OPEN = 'open';

    public const CAUGHT = 'caught';

    /** Power went, or another began in its place. */
    public const BROKEN = 'broken';

    /**
     * @param  string  $what  it waits for, in words
     * @param  string  $state  one of the above
     * @param  bool  $meant  a hand has opened it; false: it came with power
     */
    public function __construct(
        public string $what,
        public float $from,
        public float $to,
        public string $state = self::OPEN,
        public bool $meant = true,
    ) {}

    public function ended(float $at, string $state): self
    {
        return new self($this->what, $this->from, min($this->to, max($this->from, $at)), $state, $this->meant);
    }

    /** Whether it was over by then, and nothing had come. */
    public function ranOut(float $by): bool
    {
        return $this->state === self::OPEN && $this->to <= $by;
    }
}
