<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Faults;

/**
 * One hypothesis for the readings: no fault, or one fault between two of its sizes. Its unknowns (rails and supplies within their tolerance, the
 * size between the two) are a Gaussian that every reading narrows: a Kalman filter without time.
 */
final class Component
{
    /** Volts or amps, and share of a value, that even the right model may be off. */
    private const FLOOR = [0.0015, 0.0008];

    /** @var array{float, float, float} rails and supplies in tolerances, place between the sizes */
    private array $mean;

    /** @var array<int, array{float, float, float}> */
    private array $cov;

    public float $log;

    /** Sum of squared deviations of the readings so far, each from its expected value. */
    public float $misfit = 0.0;

    /**
     * @param  array<string, float>  $from  values at the smaller size
     * @param  array<string, float>|null  $to  at the larger one; null where there is nothing between
     * @param  array<string, float>  $rail  what rails that are off by their whole tolerance add
     * @param  array<string, float>  $supply  what supplies that are off by theirs add
     */
    public function __construct(
        public readonly string $class,
        public readonly ?Fault $fault,
        private readonly array $from,
        private readonly ?array $to,
        private readonly float $least,
        private readonly float $most,
        private readonly array $rail,
        private readonly array $supply,
        float $prior,
    ) {
        $this->log = log($prior);
        // A tolerance is a width that all values in it share alike: its deviation is a third root of it.
        $third = 1 / 3;
        $this->mean = [0.0, 0.0, $to === null ? 0.0 : 0.5];
        $this->cov = [[$third, 0.0, 0.0], [0.0, $third, 0.0], [0.0, 0.0, $to === null ? 0.0 : 1 / 12]];
    }

    /**
     * Expected meter reading and its variance.
     *
     * @param  array<string, float>  $shares  by key
     */
    public function expects(array $shares, float $meter): ExpectedReading
    {
        $value = 0.0;
        $g = [0.0, 0.0, 0.0];
        foreach ($shares as $key => $share) {
            $at = $this->from[$key] ?? 0.0;
            $value += $share * $at;
            $g[0] += $share * ($this->rail[$key] ?? 0.0);
            $g[1] += $share * ($this->supply[$key] ?? 0.0);
            $g[2] += $share * (($this->to[$key] ?? $at) - $at);
        }
        $floor = self::floor($value);
        $value += $g[0] * $this->mean[0] + $g[1] * $this->mean[1] + $g[2] * $this->mean[2];
        [[$rr, $rs, $rt], [, $ss, $st], [, , $tt]] = $this->cov;
        [$r, $u, $t] = $g;
        // Symmetric: each pair counts twice.
        $variance =
            ($meter * $meter) / 3 +
            $floor * $floor +
            $r * ($rr * $r + 2 * ($rs * $u + $rt * $t)) +
            $u * ($ss * $u + 2 * $st * $t) +
            $t * $t * $tt;

        return new ExpectedReading($value, $variance, $g);
    }

    /** @param  array<string, float>  $shares */
    public function take(array $shares, float $value, float $meter): void
    {
        $expected = $this->expects($shares, $meter);
        [$variance, $g] = [$expected->variance, $expected->slopes];
        $off = $value - $expected->value;
        $this->log -= 0.5 * (log(2 * M_PI * $variance) + $off ** 2 / $variance);
        $this->misfit += $off ** 2 / $variance;
        $gain = [];
        for ($i = 0; $i < 3; $i++) {
            $gain[$i] = ($this->cov[$i][0] * $g[0] + $this->cov[$i][1] * $g[1] + $this->cov[$i][2] * $g[2]) / $variance;
        }
        for ($i = 0; $i < 3; $i++) {
            $this->mean[$i] += $gain[$i] * $off;
        }
        $old = $this->cov;
        for ($i = 0; $i < 3; $i++) {
            for ($j = 0; $j < 3; $j++) {
                $this->cov[$i][$j] -= $gain[$i] * ($g[0] * $old[0][$j] + $g[1] * $old[1][$j] + $g[2] * $old[2][$j]);
            }
        }
    }

    /** How far the right model may be off, in volts or amps. */
    public static function floor(float $value): float
    {
        return self::FLOOR[0] + self::FLOOR[1] * abs($value);
    }

    /** How large the fault is, by where between its sizes the readings put it. */
    public function size(): float
    {
        $t = min(1.0, max(0.0, $this->mean[2]));

        return $this->least + $t * ($this->most - $this->least);
    }

    public function nuisance(): Deviation
    {
        return new Deviation(
            $this->mean[0],
            sqrt(max(0.0, $this->cov[0][0])),
            $this->mean[1],
            sqrt(max(0.0, $this->cov[1][1])),
        );
    }
}
