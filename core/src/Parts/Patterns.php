<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

/**
 * The relaxed cutting problem: how many times each way to fill a length is used if parts of a length could be bought
 * (Gilmore and Gomory 1961: columns by a knapsack, revised simplex). Its value rounded up is a bound.
 */
final readonly class Patterns
{
    private const ROUNDS = 400;

    private const TINY = 1e-9;

    /** Thresholds for rounding up fractions: the best result is kept. */
    private const ROUNDINGS = [1.0, 0.95, 0.85, 0.7, 0.5];

    /**
     * @param  list<int>  $sizes  mm
     * @param  list<int>  $wanted  of each
     * @param  array<int, array<int, int>>  $patterns  pieces of each size in one length
     * @param  array<int, float>  $times
     */
    private function __construct(
        private int $stock,
        private array $sizes,
        private array $wanted,
        private array $patterns,
        private array $times,
        public float $value,
    ) {}

    /** @param  array<int, int>  $kinds  how many of each length */
    public static function from(array $kinds, int $stock): self
    {
        krsort($kinds);
        $sizes = array_keys($kinds);
        $wanted = array_values($kinds);
        $count = count($sizes);
        $patterns = $inverse = $times = [];
        foreach ($sizes as $n => $size) {
            $fits = min($wanted[$n], intdiv($stock, $size));
            $patterns[] = array_replace(array_fill(0, $count, 0), [$n => $fits]);
            $inverse[] = array_replace(array_fill(0, $count, 0.0), [$n => 1 / $fits]);
            $times[] = $wanted[$n] / $fits;
        }
        for ($round = 0; $round < self::ROUNDS; $round++) {
            // Every pattern costs one length: the price of a piece is the sum of a column of the inverse.
            $prices = array_map(
                static fn(int $n): float => array_sum(array_column($inverse, $n)),
                range(0, $count - 1),
            );
            $pattern = self::dearest($sizes, $wanted, $prices, $stock);
            if (
                array_sum(array_map(static fn(int $n): float => $pattern[$n] * $prices[$n], range(0, $count - 1))) <=
                1 + self::TINY
            ) {
                break;
            }
            $column = array_map(
                static fn(array $row): float => array_sum(
                    array_map(static fn(int $n): float => $row[$n] * $pattern[$n], range(0, $count - 1)),
                ),
                $inverse,
            );
            $out = null;
            foreach ($column as $n => $value) {
                if ($value > self::TINY && ($out === null || $times[$n] / $value < $times[$out] / $column[$out])) {
                    $out = $n;
                }
            }
            if ($out === null) {
                break;
            }
            $step = $times[$out] / $column[$out];
            $pivot = array_map(static fn(float $v): float => $v / $column[$out], $inverse[$out]);
            foreach ($inverse as $n => $row) {
                if ($n !== $out && abs($column[$n]) > 0) {
                    $inverse[$n] = array_map(
                        static fn(float $v, float $p): float => $v - $column[$n] * $p,
                        $row,
                        $pivot,
                    );
                    $times[$n] -= $step * $column[$n];
                }
            }
            [$inverse[$out], $times[$out], $patterns[$out]] = [$pivot, $step, $pattern];
        }

        return new self(
            stock: $stock,
            sizes: $sizes,
            wanted: $wanted,
            patterns: $patterns,
            times: $times,
            value: array_sum($times),
        );
    }

    /** Whole lengths from the patterns, the rest by best fit. */
    public function rounded(): Cuts
    {
        $best = BestFit::for($this->pieces($this->wanted), $this->stock);
        foreach (self::ROUNDINGS as $up) {
            $left = $this->wanted;
            $lengths = [];
            $order = array_keys($this->times);
            usort($order, fn(int $a, int $b): int => $this->times[$b] <=> $this->times[$a]);
            foreach ($order as $n) {
                for (
                    $k = (int) floor($this->times[$n] + 1 - $up + self::TINY);
                    $k > 0 && $this->fits($this->patterns[$n], $left);
                    $k--
                ) {
                    $lengths[] = [$this->stock, $this->pieces($this->patterns[$n])];
                    foreach ($this->patterns[$n] as $size => $count) {
                        $left[$size] -= $count;
                    }
                }
            }
            $rest = $this->pieces($left);
            $cuts = BestFit::for($rest, $this->stock);
            if (count($rest) <= 40 && $cuts->bought > LengthBound::for($rest, $this->stock)) {
                $cuts =
                    Completion::for(
                        pieces: $rest,
                        stock: $this->stock,
                        offcuts: [],
                        least: LengthBound::for($rest, $this->stock),
                        most: $cuts->bought - 1,
                    )[0] ?? $cuts;
            }
            if (count($lengths) + $cuts->bought < $best->bought) {
                $best = new Cuts([...$lengths, ...$cuts->lengths], count($lengths) + $cuts->bought, false);
            }
        }

        return $best;
    }

    /**
     * @param  array<int, int>  $pattern
     * @param  array<int, int>  $left
     */
    private function fits(array $pattern, array $left): bool
    {
        return array_filter(
            $pattern,
            static fn(int $count, int $n): bool => $count > $left[$n],
            ARRAY_FILTER_USE_BOTH,
        ) === [] && array_sum($pattern) > 0;
    }

    /**
     * @param  array<int, int>  $counts
     * @return list<int>
     */
    private function pieces(array $counts): array
    {
        return array_merge(
            ...array_map(
                fn(int $n): array => array_fill(0, max(0, $counts[$n]), $this->sizes[$n]),
                array_keys($counts),
            ),
        );
    }

    /**
     * The most valuable pattern: a knapsack over millimetres, each size as often as needed.
     *
     * @param  list<int>  $sizes
     * @param  list<int>  $wanted
     * @param  list<float>  $prices
     * @return list<int>
     */
    private static function dearest(array $sizes, array $wanted, array $prices, int $stock): array
    {
        // Only sums of sizes matter: a few thousand states at most.
        $best = [0 => [0.0, []]];
        foreach ($sizes as $n => $size) {
            if ($prices[$n] <= self::TINY) {
                continue;
            }
            foreach ($best as $sum => [$worth, $way]) {
                for ($k = 1; $k <= $wanted[$n] && $sum + $k * $size <= $stock; $k++) {
                    $to = $sum + $k * $size;
                    if (!isset($best[$to]) || $worth + $k * $prices[$n] > $best[$to][0] + self::TINY) {
                        $best[$to] = [$worth + $k * $prices[$n], $way + [$n => $k]];
                    }
                }
            }
        }
        $top = [0.0, []];
        foreach ($best as $found) {
            if ($found[0] > $top[0]) {
                $top = $found;
            }
        }

        return array_map(static fn(int $n): int => $top[1][$n] ?? 0, array_keys($sizes));
    }
}
