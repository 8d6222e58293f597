<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Meter;

use EmberDusk\Circuit\Conditions;
use EmberDusk\Circuit\Island;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\Range;
use EmberDusk\Values\Refusal;

/**
 * Readings of good wiring at the spots of an island, with the effect of the full tolerances of rails and supplies. Keys are "command spot".
 */
final readonly class ExpectedReadings
{
    /**
     * @param  array<string, float>  $base
     * @param  array<string, float>  $rail
     * @param  array<string, float>  $supply
     */
    private function __construct(public array $base, public array $rail, public array $supply) {}

    /**
     * @param  list<MeterSpot>  $spots
     * @param  list<MeterCommand>  $commands
     *
     * @throws Refusal when the circuit has no solution
     */
    public static function for(Plan $plan, Island $island, array $spots, array $commands): self
    {
        $circuit = BenchCircuit::for($plan, $island);
        $base = $rail = $supply = [];
        foreach ($commands as $command) {
            $thin = $circuit->read($spots, $command, Conditions::rails());
            $high = $circuit->read($spots, $command, Conditions::charging());
            foreach ($circuit->read($spots, $command) as $id => $value) {
                $key = "{$command->key} {$id}";
                $base[$key] = $value;
                $rail[$key] = ($thin[$id] ?? $value) - $value;
                $supply[$key] = ($high[$id] ?? $value) - $value;
            }
        }

        return new self($base, $rail, $supply);
    }

    /** Tolerances as text. */
    public static function tolerances(): string
    {
        return sprintf(
            'rails ±%.0f %%, supply ±%.0f %%',
            100 * (Conditions::rails()->rail - 1),
            100 * (Conditions::charging()->supply - 1),
        );
    }

    /** Standard deviation of a reading of good wiring: meter, rails and supply, each alike anywhere within its tolerance. */
    public function deviation(string $key): float
    {
        return self::spread($this->base[$key], $this->rail[$key], $this->supply[$key]);
    }

    /**
     * Standard deviation of a reading.
     *
     * @param  float  $rail  what rails that are off by their whole tolerance add
     * @param  float  $supply  what supplies that are off by theirs add
     */
    public static function spread(float $value, float $rail, float $supply): float
    {
        return sqrt((Multimeter::tolerance($value) ** 2 + $rail ** 2 + $supply ** 2) / 3);
    }

    /** Expected range of a reading of good wiring, without meter error; null where nothing conducts. */
    public function range(string $key): ?Range
    {
        if (!isset($this->base[$key])) {
            return null;
        }
        $off = abs($this->rail[$key]) + abs($this->supply[$key]);

        return new Range($this->base[$key] - $off, $this->base[$key] + $off);
    }
}
