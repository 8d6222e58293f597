<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

/** One line of the parts list. */
final readonly class Part
{
    /**
     * @param  string  $key key of its marks: its shelf id
     * @param  float  $count  that the plan asks for, without spares
     * @param  string  $unit m, piece, or another unit
     * @param  int  $spare  more of them to take along
     * @param  float  $buy  how many are bought: full pieces, reels, metres
     * @param  array<string, float>  $why  what for and for which run, with how much of the count
     * @param  float|null  $price  of one that is bought, in the job's currency; null where it cannot be said
     * @param  float  $owned  that the client has already
     * @param  list<string>  $runs ids of its runs
     * @param  string  $foreign  currency of the shelf's price where the job has no rate for it
     * @param  float  $lead  days from order to door
     * @param  float  $each  how much of the unit one that is bought holds
     * @param  bool  $cut  whether a cut list says how many are bought
     * @param  string  $priced  currency of the shelf's price where it was turned into the job's
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
        public array $runs,
        public string $foreign,
        public float $lead,
        public float $each,
        public bool $cut,
        public string $priced,
    ) {}

    /** Pieces, reels or lengths to pay: the client's own are free. */
    public function paid(): float
    {
        return max(0.0, $this->buy - $this->owned);
    }

    /** So many of them in words: 4 reels, 9 lengths, 6 m, 2. */
    public function say(float $count): string
    {
        return sprintf('%g', $count) .
            match (true) {
                $this->cut => ($this->group === 'Strip' ? ' reel' : ' length') . ($count === 1.0 ? '' : 's'),
                $this->each === 1.0 && $this->unit === 'm' => ' m',
                default => '',
            };
    }

    /** Null where there is no price. */
    public function cost(): ?float
    {
        if ($this->paid() <= 0) {
            return 0.0;
        }
        if ($this->price === null) {
            return null;
        }

        return round($this->paid() * $this->price, 2);
    }
}
