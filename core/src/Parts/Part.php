<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

/** One line of the parts list. */
final readonly class Part
{
    /**
     * @param  string  $key  what marks of it go by: a shelf id, or a word where the shelf has nothing
     * @param  float  $count  that the plan asks for, without spares
     * @param  string  $unit  m, piece, or what it is sold in
     * @param  int  $spare  more of them to take along
     * @param  float  $buy  how many are bought: whole pieces, reels, metres
     * @param  list<string>  $why  what for and for which run
     * @param  float|null  $price  of one; null where the shelf does not say
     * @param  float  $owned  that the client has already
     */
    public function __construct(
        public string $key,
        public string $group,
        public string $name,
        public float $count,
        public string $unit,
        public int $spare,
        public float $buy,
        public array $why,
        public ?float $price,
        public float $owned,
    ) {
    }

    /** Null where the shelf has no price. */
    public function cost(): ?float
    {
        $pays = max(0.0, $this->buy - $this->owned);

        return $pays <= 0 ? 0.0 : ($this->price === null ? null : round($pays * $this->price, 2));
    }
}
