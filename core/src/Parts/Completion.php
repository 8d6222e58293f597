<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

/** Lengths filled in turn, the longest piece that is left in each, every way to fill up the rest, as long as the waste of all may allow it. */
final class Completion
{
    /** Ways that are looked at. */
    private const MOST = 20_000;

    /** @var array<int, int> how many are left, by length, longest first */
    private array $left = [];

    /** @var list<array{int, list<int>}> */
    private array $filled = [];

    private int $looked = 0;

    /** @param  list<int>  $offcuts */
    private function __construct(private readonly int $stock, private readonly array $offcuts) {}

    /**
     * @param  list<int>  $pieces
     * @param  list<int>  $offcuts
     * @return array{Cuts|null, bool} the fewest of so many to so many bought lengths, and whether every way was looked at
     */
    public static function for(array $pieces, int $stock, array $offcuts, int $least, int $most): array
    {
        $proven = true;
        for ($bought = $least; $bought <= $most; $bought++) {
            $search = new self($stock, $offcuts);
            $search->left = array_count_values($pieces);
            krsort($search->left);
            if ($search->fill($bought, 0, $bought * $stock + array_sum($offcuts) - array_sum($pieces))) {
                return [new Cuts($search->filled, $bought, $proven), $proven];
            }
            $proven = $proven && $search->looked <= self::MOST;
        }

        return [null, $proven];
    }

    /**
     * @param  int  $bought  lengths that may still be opened
     * @param  int  $from  the first offcut that was not decided on
     * @param  int  $waste  mm that may still be lost
     */
    private function fill(int $bought, int $from, int $waste): bool
    {
        $longest = array_key_first($this->left);
        if ($longest === null) {
            return true;
        }
        $offcut = $this->offcuts[$from] ?? null;
        if ($offcut === null && $bought === 0) {
            return false;
        }
        // An offcut may be too short for the longest piece: it is filled in any way, or given up.
        foreach ($this->ways($offcut ?? $this->stock, $offcut === null ? $longest : null, $waste) as $way) {
            if ($this->looked++ > self::MOST) {
                return false;
            }
            $kept = $this->left;
            foreach ($way as $piece) {
                if (--$this->left[$piece] === 0) {
                    unset($this->left[$piece]);
                }
            }
            $length = $offcut ?? $this->stock;
            $this->filled[] = [$length, $way];
            if ($this->fill($offcut === null ? $bought - 1 : $bought, $from + 1, $waste - $length + array_sum($way))) {
                $this->filled = array_values(array_filter($this->filled, static fn(array $f): bool => $f[1] !== []));

                return true;
            }
            array_pop($this->filled);
            $this->left = $kept;
        }

        return false;
    }

    /**
     * @param  int|null  $with  a piece that is in it
     * @return list<list<int>> ways to fill a length that lose no more than may be lost, the fullest first
     */
    private function ways(int $length, ?int $with, int $waste): array
    {
        $sizes = array_keys($this->left);
        $ways = [];
        $open = [[0, $with === null ? $length : $length - $with, $with === null ? [] : [$with]]];
        while ($open !== [] && count($ways) < self::MOST) {
            [$at, $room, $way] = array_pop($open);
            if ($room <= $waste) {
                $ways[] = [$room, $way];
            }
            for ($n = $at; $n < count($sizes); $n++) {
                if ($sizes[$n] <= $room && count(array_keys($way, $sizes[$n], true)) < $this->left[$sizes[$n]]) {
                    $open[] = [$n, $room - $sizes[$n], [...$way, $sizes[$n]]];
                }
            }
        }
        usort($ways, static fn(array $a, array $b): int => [$a[0], count($a[1])] <=> [$b[0], count($b[1])]);

        return array_map(static fn(array $w): array => $w[1], $ways);
    }
}
