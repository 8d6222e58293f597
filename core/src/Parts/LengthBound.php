<?php

declare(strict_types=1);

namespace EmberDusk\Parts;

/** A number of stock lengths that is never too many (Martello and Toth's L2, 1990): pieces over half a length cannot share one. */
final readonly class LengthBound
{
    /** @param  list<int>  $pieces  mm */
    public static function for(array $pieces, int $stock): int
    {
        $best = (int) ceil(array_sum($pieces) / $stock);
        $small = array_unique(array_filter($pieces, static fn(int $p): bool => 2 * $p <= $stock));
        foreach ([0, ...$small] as $k) {
            $alone = $half = 0;
            $room = $rest = 0;
            foreach ($pieces as $p) {
                if ($p > $stock - $k) {
                    $alone++;
                } elseif (2 * $p > $stock) {
                    $half++;
                    $room += $stock - $p;
                } elseif ($p >= $k) {
                    $rest += $p;
                }
            }
            $best = max($best, $alone + $half + max(0, (int) ceil(($rest - $room) / $stock)));
        }

        return $best;
    }
}
