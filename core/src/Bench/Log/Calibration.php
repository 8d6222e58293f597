<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Log;

use EmberDusk\Bench\Faults\Component;
use EmberDusk\Bench\Faults\Deviation;
use EmberDusk\Bench\Faults\FaultBelief;
use EmberDusk\Bench\Meter\ExpectedReadings;
use EmberDusk\Bench\Meter\Multimeter;
use EmberDusk\Bench\Meter\Reading;
use EmberDusk\Circuit\Conditions;
use EmberDusk\Values\Range;

/**
 * Rail and supply factors of this job, estimated from readings on good wiring, with ranges narrower than the initial tolerances (twice the residual
 * standard deviation). Predictions then use them.
 */
final readonly class Calibration
{
    private const LEAST = 2;

    private const DEVIATIONS = 2.0;

    /**
     * @param  list<Reading>  $readings
     */
    private function __construct(
        private ExpectedReadings $expected,
        private Deviation $nuisance,
        private array $readings,
    ) {}

    /**
     * Null with fewer than two readings, or where one of them is not of good wiring.
     *
     * @param  list<Reading>  $readings
     */
    public static function from(ExpectedReadings $expected, array $readings): ?self
    {
        $none = new Component(
            class: FaultBelief::NONE,
            fault: null,
            from: $expected->base,
            to: null,
            least: 1.0,
            most: 1.0,
            rail: $expected->rail,
            supply: $expected->supply,
            prior: 1.0,
        );
        foreach ($readings as $r) {
            $key = "{$r->command->key} {$r->spot->id}";
            $range = $expected->range($key);
            $meter = Multimeter::tolerance($r->value);
            if ($range === null || $r->value < $range->low - $meter || $r->value > $range->high + $meter) {
                return null;
            }
            $none->take([$key => 1.0], $r->value, $meter);
        }

        if (count($readings) < self::LEAST) {
            return null;
        }

        return new self($expected, $none->nuisance(), $readings);
    }

    /** Factor on the rails of the shelf. */
    public function rails(): Range
    {
        return self::factor($this->nuisance->rails, $this->nuisance->railsOff, Conditions::rails()->rail - 1);
    }

    /** Factor on the volts of the supplies. */
    public function supplies(): Range
    {
        return self::factor(
            $this->nuisance->supplies,
            $this->nuisance->suppliesOff,
            Conditions::charging()->supply - 1,
        );
    }

    /** Expected reading with these factors. */
    public function range(string $key): ?Range
    {
        if (!isset($this->expected->base[$key])) {
            return null;
        }
        $is = $this->nuisance;
        $middle =
            $this->expected->base[$key] +
            $is->rails * $this->expected->rail[$key] +
            $is->supplies * $this->expected->supply[$key];
        $off =
            self::DEVIATIONS *
            ($is->railsOff * abs($this->expected->rail[$key]) + $is->suppliesOff * abs($this->expected->supply[$key]));
        $shelf = $this->expected->range($key);

        return new Range(max($middle - $off, $shelf->low ?? -INF), min($middle + $off, $shelf->high ?? INF));
    }

    /**
     * Ohms of joints from volts measured across them at full and their current: as entered, and as estimated now.
     *
     * @return list<array{words: string, was: float, now: Range}>
     */
    public function joints(): array
    {
        $joints = [];
        foreach ($this->readings as $r) {
            if (preg_match('/^([a-z0-9-]+):(?:from|to):([1-6])$/', $r->spot->id, $m) !== 1) {
                continue;
            }
            $amps = $this->expected->base["{$r->command->key} {$m[1]}:amps:{$m[2]}"] ?? 0.0;
            $flows = $this->range("{$r->command->key} {$m[1]}:amps:{$m[2]}");
            if ($flows === null || $flows->low <= 0) {
                continue;
            }
            $meter = Multimeter::tolerance($r->value);
            $joints[] = [
                'words' => $r->spot->words,
                'was' => $this->expected->base["{$r->command->key} {$r->spot->id}"] / $amps,
                'now' => new Range(max(0.0, $r->value - $meter) / $flows->high, ($r->value + $meter) / $flows->low),
            ];
        }

        return $joints;
    }

    private static function factor(float $mean, float $deviation, float $tolerance): Range
    {
        return new Range(
            1 + $tolerance * max(-1.0, $mean - self::DEVIATIONS * $deviation),
            1 + $tolerance * min(1.0, $mean + self::DEVIATIONS * $deviation),
        );
    }
}
