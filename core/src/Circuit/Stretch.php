<?php

declare(strict_types=1);

namespace EmberDusk\Circuit;

/**
 * Strip between two pads that are nodes: m groups p apart, half a pitch of rail before the first and after the last.
 * Terminals of a pad are its + and its channels' returns, in that order.
 */
final readonly class Stretch
{
    /**
     * @param  string  $run  its run's id
     * @param  string  $prefix  of its groups' node names
     * @param  int  $first  number of its first group in the run
     * @param  float  $pitch  metres
     * @param  float  $plusRail  ohm per metre
     * @param  float  $returnRail  ohm per metre
     * @param  non-empty-list<Load>  $loads  one a channel
     * @param  non-empty-list<int>  $start  terminals of the pad before it
     * @param  non-empty-list<int>  $end  terminals of the pad after it
     * @param  list<int>  $numbers  the channels' numbers in the strip, from 1; empty when all are there
     */
    public function __construct(
        public string $run,
        public string $prefix,
        public int $first,
        public int $groups,
        public float $pitch,
        public float $plusRail,
        public float $returnRail,
        public array $loads,
        public array $start,
        public array $end,
        public array $numbers = [],
    ) {}

    public function channels(): int
    {
        return count($this->loads);
    }

    public function length(): float
    {
        return $this->groups * $this->pitch;
    }

    /** The node of a group's rail; terminal 0 is +. */
    public function node(int $group, int $terminal): string
    {
        return $this->prefix .
            '_g' .
            ($this->first + $group) .
            '_' .
            ($terminal === 0 ? 'p' : $this->number($terminal));
    }

    /** The number in the strip of a terminal's channel. */
    public function number(int $terminal): int
    {
        return $this->numbers[$terminal - 1] ?? $terminal;
    }

    /**
     * Common potential of all rails: the mean of their volts, weighted by their conductance. Terminal weights, sum 1.
     *
     * @return non-empty-list<float>
     */
    public function weights(): array
    {
        $total = 1 / $this->plusRail + $this->channels() / $this->returnRail;

        return [1 / $this->plusRail / $total, ...array_fill(0, $this->channels(), 1 / $this->returnRail / $total)];
    }

    /** Siemens of all rails in parallel, end to end. */
    public function commonConductance(): float
    {
        return (1 / $this->plusRail + $this->channels() / $this->returnRail) / $this->length();
    }
}
