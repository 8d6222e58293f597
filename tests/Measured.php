<?php

declare(strict_types=1);

namespace Tests;

/** Measurement and output of bin/bench. */
final class Measured
{
    /** Calls that warm up and are not counted. */
    private const WARM = 5;

    /** @param  list<float>  $times */
    public static function median(array $times): float
    {
        sort($times);

        return $times[intdiv(count($times), 2)] ?? 0.0;
    }

    /**
     * Milliseconds, the median of so many calls but the first five.
     *
     * @param  callable(int): mixed  $work
     */
    public static function timed(callable $work, int $times = 25): float
    {
        $taken = [];
        for ($n = 0; $n < $times; $n++) {
            $at = hrtime(true);
            $work($n);
            $taken[] = (hrtime(true) - $at) / 1e6;
        }

        return self::median(array_slice($taken, self::WARM));
    }

    public static function row(string $what, string $number, string $conditions): void
    {
        printf("%-46s %12s   %s\n", $what, $number, $conditions);
    }
}
