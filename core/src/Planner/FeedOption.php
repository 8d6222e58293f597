<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Kit\KitSnapshot;

/** One way to feed one run from one place: a pattern, the cable of its tails, their lengths, and its cost in hundredths of the smallest coin. */
final readonly class FeedOption
{
    /** Metres of cable that loses next to nothing. */
    private const SHORT = 0.01;

    /** Run, decisions and lengths as one text. */
    public string $key;

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
    ) {
        $this->key = "{$run}/" . implode(',', $this->decision()) . '/' . implode(',', [...$lengths, $leg?->lead]);
    }

    public function halves(): bool
    {
        return $this->pattern === Feeding::HALVES;
    }

    /** Whether it is fed at other places than a pattern says. */
    public function spot(): bool
    {
        return str_starts_with($this->pattern, Feeding::SPOT);
    }

    /**
     * The same run in this or another way, by cables that lose next to nothing.
     *
     * @param  list<int>  $pads
     */
    public function ideal(KitSnapshot $thick, string $pattern, array $pads): self
    {
        return new self(
            run: $this->run,
            pattern: $pattern,
            pads: $pads,
            tails: array_map(static fn(): KitSnapshot => $thick, $pads),
            lengths: array_map(static fn(): float => self::SHORT, $pads),
            leg: null,
            capacity: $this->capacity,
            cost: 0,
            joints: 0,
        );
    }

    /** @return array{pads: string, tail: string} the decisions */
    public function decision(): array
    {
        return ['pads' => $this->pattern, 'tail' => $this->tails[0]->entry->id()];
    }
}
