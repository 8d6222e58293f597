<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Faults;

use EmberDusk\Bench\Meter\BenchCircuit;
use EmberDusk\Bench\Meter\ExpectedReadings;
use EmberDusk\Bench\Meter\MeterCommand;
use EmberDusk\Bench\Meter\MeterSpot;
use EmberDusk\Bench\Meter\MeterSpots;
use EmberDusk\Bench\Meter\Multimeter;
use EmberDusk\Bench\Meter\RunParts;
use EmberDusk\Circuit\Conditions;
use EmberDusk\Circuit\Island;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Values\Refusal;

/**
 * Predicted meter readings at every offered spot of an island, for good wiring and for each fault at each of its sizes. Faults are solved with the
 * strip in a few lumps; the lumping error of good wiring is removed. Keys are "command spot".
 *
 * @phpstan-type Solved array{
 *     fault: Fault,
 *     sizes: list<float>,
 *     values: list<array<string, float>>,
 *     rail: array<string, float>,
 *     supply: array<string, float>,
 *     least: int|null,
 * }
 */
final readonly class Predictions
{
    /** Commands under which faults are solved: the usual ones for readings. */
    public const COMMANDS = [MeterCommand::FULL, MeterCommand::DARK];

    private const TIMES = 3.0;

    /**
     * @param  array<string, MeterSpot>  $spots
     * @param  array<string, float>  $base  wired well
     * @param  array<string, float>  $rail  what rails that are off by their whole tolerance add
     * @param  array<string, float>  $supply  what supplies that are off by theirs add
     * @param  list<Solved>  $faults  with what rails and supplies add at the fault's largest size; `least` is the first of its sizes
     *     that matters and that one reading shows, null where none is
     */
    private function __construct(
        public array $spots,
        public array $base,
        public array $rail,
        public array $supply,
        public array $faults,
    ) {}

    /** @return list<Fault> possible faults of an island near a run, of size one */
    public static function possible(Plan $plan, Island $island, Run $run): array
    {
        $near = RunParts::for($plan, $island, $run);

        return array_values(
            array_filter(
                (new FaultList($plan, $island))->for(),
                static fn(Fault $f): bool => $near->has(explode(':', $f->place)[0]),
            ),
        );
    }

    /**
     * @param  Run  $run  near to which a fault is looked for
     * @param  Fault|null  $only  fault to solve; null: all possible ones
     *
     * @throws Refusal when the circuit has no solution even without a fault
     */
    public static function for(Plan $plan, Island $island, Run $run, ?Fault $only = null): self
    {
        $near = RunParts::for($plan, $island, $run);
        $spots = array_values(
            array_filter(MeterSpots::for($plan, $island), static fn(MeterSpot $s): bool => $near->has($s->of)),
        );
        $good = ExpectedReadings::for($plan, $island, $spots, array_map(MeterCommand::read(...), self::COMMANDS));
        $lumped = BenchCircuit::lumped($plan, $island);
        $base = $good->base;
        $by = array_column($spots, null, 'id');
        $like = self::read($lumped, $spots);
        $faults = [];
        foreach ($only === null ? self::possible($plan, $island, $run) : [$only] as $fault) {
            $sizes = $values = $at = [];
            foreach (self::sizes($fault, $base) as $size) {
                try {
                    $at = self::read($lumped, $spots, faults: [$fault->sized($size)]);
                } catch (Refusal) {
                    // So large that the circuit has no volts: no meter is needed.
                    continue;
                }
                $sizes[] = $size;
                $values[] = self::corrected($at, $like, $base);
            }
            if ($sizes !== []) {
                $largest = $fault->sized($sizes[count($sizes) - 1]);
                $faults[] = [
                    'fault' => $fault,
                    'sizes' => $sizes,
                    'values' => $values,
                    'rail' => self::less(self::read($lumped, $spots, Conditions::rails(), [$largest]), $at),
                    'supply' => self::less(self::read($lumped, $spots, Conditions::charging(), [$largest]), $at),
                    'least' => self::least($values, $good, $by),
                ];
            }
        }

        return new self($by, $base, $good->rail, $good->supply, $faults);
    }

    /** Whether two faults multiply what each does alone: drops along one conductor, and amps. */
    public function multiplies(string $key): bool
    {
        $spot = $this->spots[explode(' ', $key)[1]];

        return $spot->fine || $spot->unit === 'A';
    }

    /** Whether values are far enough from good wiring to matter: three times the meter's tolerance at some terminal or pad. */
    public function matters(int $fault, int $size): bool
    {
        return self::clear($this->faults[$fault]['values'][$size], $this->base, $this->spots);
    }

    /**
     * @param  list<array<string, float>>  $values  by size
     * @param  array<string, MeterSpot>  $spots
     */
    private static function least(array $values, ExpectedReadings $good, array $spots): ?int
    {
        foreach ($values as $n => $of) {
            if (!self::clear($of, $good->base, $spots)) {
                continue;
            }
            foreach ($of as $key => $value) {
                if (abs($value - $good->base[$key]) >= Coverage::CLEAR * $good->deviation($key)) {
                    return $n;
                }
            }
        }

        return null;
    }

    /**
     * @param  array<string, float>  $values
     * @param  array<string, float>  $base
     * @param  array<string, MeterSpot>  $spots
     */
    private static function clear(array $values, array $base, array $spots): bool
    {
        foreach ($values as $key => $value) {
            $spot = $spots[explode(' ', $key)[1]];
            if (!$spot->fine && abs($value - $base[$key]) > self::TIMES * Multimeter::tolerance($base[$key])) {
                return true;
            }
        }

        return false;
    }

    /**
     * A spot as a weighted sum of solved spots: any pad is on the parabola through three of them.
     *
     * @return array<string, float> share by spot; none where it is no pad of this island
     */
    public function shares(MeterSpot $spot): array
    {
        if (isset($this->spots[$spot->id])) {
            return [$spot->id => 1.0];
        }
        $near = [];
        foreach ($this->spots as $other) {
            if (
                $spot->pad !== null &&
                $other->pad !== null &&
                $other->pad->run === $spot->pad->run &&
                $other->pad->channel === $spot->pad->channel
            ) {
                $near[$other->id] = $other->pad->at;
            }
        }
        $at = $spot->pad->at ?? 0.0;
        uasort($near, static fn(float $a, float $b): int => abs($a - $at) <=> abs($b - $at));
        $near = array_slice($near, 0, 3, true);
        $shares = [];
        foreach ($near as $id => $x) {
            $share = 1.0;
            foreach ($near as $other => $y) {
                $share *= $other === $id ? 1.0 : ($at - $y) / ($x - $y);
            }
            $shares[$id] = $share;
        }

        return $shares;
    }

    /**
     * A supply limit is given in amps: a share of its fault-free output.
     *
     * @param  array<string, float>  $base
     * @return list<float>
     */
    private static function sizes(Fault $fault, array $base): array
    {
        if ($fault->kind === FaultKind::Overload) {
            $gives = $base[MeterCommand::FULL . " {$fault->place}:amps"] ?? 0.0;

            if ($gives < 0.01) {
                return [];
            }

            return array_map(static fn(float $s): float => $s * $gives, $fault->kind->sizes());
        }

        if ($fault->kind->sizes() === [1.0]) {
            return [$fault->size];
        }

        return $fault->kind->sizes();
    }

    /**
     * @param  list<MeterSpot>  $spots
     * @param  list<Fault>  $faults
     * @return array<string, float>
     */
    private static function read(
        BenchCircuit $circuit,
        array $spots,
        Conditions $conditions = new Conditions(),
        array $faults = [],
    ): array {
        $read = [];
        foreach (self::COMMANDS as $key) {
            foreach ($circuit->read($spots, MeterCommand::read($key), $conditions, $faults) as $spot => $value) {
                $read["{$key} {$spot}"] = $value;
            }
        }

        return $read;
    }

    /**
     * @param  array<string, float>  $a
     * @param  array<string, float>  $b
     * @return array<string, float>
     */
    private static function less(array $a, array $b): array
    {
        foreach ($b as $key => $value) {
            $b[$key] = ($a[$key] ?? $value) - $value;
        }

        return $b;
    }

    /**
     * The lumping error of good wiring is removed from the faulty values: as a factor for drops and amps, so that 0 stays 0; as volts elsewhere.
     *
     * @param  array<string, float>  $read  lumped, with the fault
     * @param  array<string, float>  $like  lumped, wired well
     * @param  array<string, float>  $base  exact, wired well
     * @return array<string, float>
     */
    private static function corrected(array $read, array $like, array $base): array
    {
        foreach ($base as $key => $exact) {
            $lumped = $like[$key] ?? $exact;
            $value = $read[$key] ?? $lumped;
            $base[$key] =
                abs($value) < abs($lumped) && $exact * $lumped > 0
                    ? ($value * $exact) / $lumped
                    : $value + $exact - $lumped;
        }

        return $base;
    }
}
