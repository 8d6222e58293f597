<?php

declare(strict_types=1);

namespace EmberDusk\Costing;

/** One line of a choice's cost: a thing with its price, or work with its minutes. */
final readonly class MovingLine
{
    /**
     * @param  float  $count  pieces, metres, joints
     * @param  string  $unit  m for metres, empty for pieces
     * @param  int  $cost  hundredths of the smallest coin
     * @param  float  $minutes  of work, unrounded; none of a thing
     */
    public function __construct(
        public string $what,
        public float $count,
        public string $unit,
        public int $cost,
        public float $minutes = 0.0,
    ) {}

    public function and(self $more): self
    {
        return new self(
            what: $this->what,
            count: $this->count + $more->count,
            unit: $this->unit,
            cost: $this->cost + $more->cost,
            minutes: $this->minutes + $more->minutes,
        );
    }

    /** How many, in words: 3.2 m, 12, 1 h 40 min. */
    public function said(): string
    {
        return match (true) {
            $this->minutes > 0 => QuoteLine::time($this->minutes),
            $this->unit === 'm' => sprintf('%.1f m', $this->count),
            default => sprintf('%d', $this->count),
        };
    }
}
