<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Faults;

/**
 * Readings of good wiring as independent values of deviation 1: the common error of meter, rails and supplies is removed by the Cholesky factor of
 * its covariance.
 *
 * @phpstan-type Read array{shares: array<string, float>, value: float, meter: float}
 */
final readonly class WhitenedReadings
{
    /**
     * @param  list<list<float>>  $factor  lower triangle
     * @param  list<float>  $base  what good wiring gives, in volts or amps
     * @param  list<bool>  $multiplies  whether two faults multiply what each does alone: {@see Predictions::multiplies()}
     * @param  list<float>  $deviations  of each reading automatically, in volts or amps
     * @param  list<float>  $seen  readings less what good wiring gives, in deviations
     */
    private function __construct(
        private array $factor,
        public array $base,
        public array $multiplies,
        public array $deviations,
        public array $seen,
    ) {}

    /** @param  list<Read>  $readings */
    public static function from(Predictions $of, array $readings): self
    {
        $factor = $rail = $supply = $off = $bases = $multiplies = $deviations = [];
        foreach ($readings as $i => ['shares' => $shares, 'value' => $value, 'meter' => $meter]) {
            $base = self::at($of->base, $shares);
            $off[] = $value - $base;
            $bases[] = $base;
            $multiplies[] = count($shares) === 1 && abs($base) > 1e-6 && $of->multiplies(array_key_first($shares));
            $rail[] = self::at($of->rail, $shares);
            $supply[] = self::at($of->supply, $shares);
            $row = [];
            for ($j = 0; $j <= $i; $j++) {
                $sum = ($rail[$i] * $rail[$j] + $supply[$i] * $supply[$j]) / 3;
                if ($i === $j) {
                    $sum += $meter ** 2 / 3 + Component::floor($value) ** 2;
                    $deviations[] = sqrt($sum);
                }
                for ($k = 0; $k < $j; $k++) {
                    $sum -= $row[$k] * ($j === $i ? $row[$k] : $factor[$j][$k]);
                }
                $row[] = $i === $j ? sqrt(max($sum, 1e-18)) : $sum / $factor[$j][$j];
            }
            $factor[] = $row;
        }

        return new self($factor, $bases, $multiplies, $deviations, self::solved($factor, $off));
    }

    /**
     * Values at the readings.
     *
     * @param  array<string, float>  $values  by key
     * @param  list<Read>  $readings
     * @return list<float>
     */
    public static function values(array $values, array $readings): array
    {
        return array_map(static fn(array $r): float => self::at($values, $r['shares']), $readings);
    }

    /**
     * How far values are from those of good wiring, in deviations.
     *
     * @param  list<float>  $values  at the readings
     * @return list<float>
     */
    public function moved(array $values): array
    {
        $moved = [];
        foreach ($values as $k => $value) {
            $moved[] = $value - $this->base[$k];
        }

        return self::solved($this->factor, $moved);
    }

    /**
     * @param  array<string, float>  $values
     * @param  array<string, float>  $shares
     */
    private static function at(array $values, array $shares): float
    {
        $sum = 0.0;
        foreach ($shares as $key => $share) {
            $sum += $share * ($values[$key] ?? 0.0);
        }

        return $sum;
    }

    /**
     * @param  list<list<float>>  $factor
     * @param  list<float>  $right
     * @return list<float>
     */
    private static function solved(array $factor, array $right): array
    {
        $solved = [];
        foreach ($right as $i => $v) {
            for ($k = 0; $k < $i; $k++) {
                $v -= $factor[$i][$k] * $solved[$k];
            }
            $solved[] = $v / $factor[$i][$i];
        }

        return $solved;
    }
}
