<?php

declare(strict_types=1);

namespace EmberDusk\Costing;

/** One line of a quote: a part, a kind of work, a way there, tax. */
final readonly class QuoteLine
{
    /**
     * @param  string  $count  how many, in words
     * @param  int  $cents  hundredths of the currency
     * @param  float  $minutes  of work, unrounded; none of a part
     */
    public function __construct(
        public string $what,
        public string $count,
        public int $cents,
        public float $minutes = 0.0,
    ) {}

    /** Minutes as hours and minutes. */
    public static function time(float $minutes): string
    {
        $whole = (int) round($minutes);

        return match (true) {
            $minutes > 0 && $whole === 0 => 'under 1 min',
            $whole < 60 => "{$whole} min",
            $whole % 60 === 0 => sprintf('%d h', intdiv($whole, 60)),
            default => sprintf('%d h %d min', intdiv($whole, 60), $whole % 60),
        };
    }

    /** @return array{what: string, count: string, cents: int} */
    public function write(): array
    {
        return ['what' => $this->what, 'count' => $this->count, 'cents' => $this->cents];
    }
}
