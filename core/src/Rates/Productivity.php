<?php

declare(strict_types=1);

namespace EmberDusk\Rates;

/**
 * How a crew's own minutes compare with the table of times, kind by kind.
 *
 * Ratios of minutes taken to minutes of the table are taken as log-normal: the middle is their geometric mean, the range is
 * the interval that holds the next one four times out of five, mean ± t s √(1 + 1/n) of their logarithms (prediction
 * interval of a normal sample, any textbook of statistics; from memory).
 */
final readonly class Productivity
{
    /** Steps of a kind that were timed before the table is left. */
    public const LEAST = 3;

    /** Range of the table's times without own times (common practice, no source). */
    private const GUESS = [0.7, 1.5];

    /** Student's t, one side 0.90, by degrees of freedom; between two the lower is taken, which is wider (printed tables, from memory). */
    private const T = [
        2 => 1.886,
        3 => 1.638,
        4 => 1.533,
        5 => 1.476,
        6 => 1.44,
        7 => 1.415,
        8 => 1.397,
        9 => 1.383,
        10 => 1.372,
        12 => 1.356,
        15 => 1.341,
        20 => 1.325,
        30 => 1.31,
        60 => 1.296,
        120 => 1.289,
    ];

    /** @param  array<string, array{factor: float, low: float, high: float, count: int}>  $kinds */
    public function __construct(public array $kinds) {}

    /** @param  list<array{kind: string, table: float, taken: int}>  $timed  steps that the crew has ticked off, in minutes */
    public static function from(array $timed): self
    {
        $logs = [];
        foreach ($timed as $step) {
            if ($step['table'] > 0 && $step['taken'] > 0) {
                $logs[$step['kind']][] = log($step['taken'] / $step['table']);
            }
        }
        $kinds = [];
        foreach ($logs as $kind => $of) {
            $n = count($of);
            if ($n < self::LEAST) {
                continue;
            }
            $mean = array_sum($of) / $n;
            $spread = sqrt(array_sum(array_map(static fn(float $l): float => ($l - $mean) ** 2, $of)) / ($n - 1));
            $half = self::t($n - 1) * $spread * sqrt(1 + 1 / $n);
            $kinds[$kind] = [
                'factor' => exp($mean),
                'low' => exp($mean - $half),
                'high' => exp($mean + $half),
                'count' => $n,
            ];
        }
        ksort($kinds);

        return new self($kinds);
    }

    /** Of the table's minutes that this crew takes. */
    public function factor(Work $kind): float
    {
        return $this->kinds[$kind->value]['factor'] ?? 1.0;
    }

    /** @return array{int, int} minutes at best and at worst */
    public function range(Work $kind, float $table): array
    {
        [$low, $high] = isset($this->kinds[$kind->value])
            ? [$this->kinds[$kind->value]['low'], $this->kinds[$kind->value]['high']]
            : self::GUESS;

        return [(int) floor($table * $low), (int) ceil($table * $high)];
    }

    /** For the calendar, never for money. */
    public static function fives(float $minutes): int
    {
        return max(5, (int) (5 * ceil($minutes / 5 - 1e-9)));
    }

    private static function t(int $freedom): float
    {
        $t = INF;
        foreach (self::T as $from => $value) {
            if ($freedom >= $from) {
                $t = $value;
            }
        }

        return $t;
    }
}
