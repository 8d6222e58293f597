<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Kit\KitSnapshot;

/** One way to feed one run from one place: a pattern, the cable of its tails, their lengths, and its cost in hundredths of the smallest coin. */
final readonly class FeedOption
{
    /**
     * @param  list<int>  $pads  of halves: one of each half
     * @param  list<KitSnapshot>  $tails  a cable for each pad
     * @param  list<float>  $lengths  metres, one for each pad
     * @param  LegUse|null  $leg  a leg that exists already and feeds both pads
     * @param  float  $capacity  amps of the thinnest of its cables
     */
    public function __construct(
        public string $run,
        public string $pattern,
        public array $pads,
        public array $tails,
        public array $lengths,
        public ?LegUse $leg,
        public float $capacity,
        public int $cost,
        public int $joints,
    ) {}

    public function halves(): bool
    {
        return $this->pattern === Feeding::HALVES;
    }

    /** Whether it is fed at other places than a pattern says. */
    public function spot(): bool
    {
        return str_starts_with($this->pattern, Feeding::SPOT);
    }

    /** @return array{pads: string, tail: string} the decisions */
    public function decision(): array
    {
        return ['pads' => $this->pattern, 'tail' => $this->tails[0]->entry->id()];
    }
}
