<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Faults;

use EmberDusk\Bench\Meter\Multimeter;
use EmberDusk\Bench\Meter\Reading;

/** Probability of each fault of an island after the readings so far. Faults that no reading can distinguish form one class. */
final readonly class FaultBelief
{
    public const NONE = 'none';

    /** More than one fault, or one that is not in the list. */
    public const SEVERAL = 'several';

    /** Before anything is read: nothing wrong, something that no single fault in the list explains; faults share the rest by kind, then by place. */
    private const PRIOR = [self::NONE => 0.25, self::SEVERAL => 0.02];

    /** Unmodelled faults mostly read close to good wiring: within a share of the value, plus some volts or amps. */
    private const NEARBY = [0.3, 0.05];

    /** And as often anything at all: volts or amps over which that is spread. */
    private const ANYTHING = 60.0;

    /** Odds of two faults against the likeliest single one, where both explain the readings as well. */
    private const TWO = 0.3;

    /** Readings up to which those odds stand. */
    private const FEW = 5;

    /** Share of a class from which it is compared with pairs of faults: below it nothing is near to being concluded. */
    private const LIKELY = 0.5;

    /**
     * @param  list<Component>  $components  nothing wrong, single faults, then pairs of faults
     * @param  list<float>  $weights of the components; the last is the unmodelled rest
     * @param  array<string, float>  $classes  most likely first
     * @param  array<string, list<Fault>>  $members  of a class
     * @param  list<array{Fault, Fault}>  $pairs  that explain the readings too, likeliest first
     * @param  list<string>  $open  classes that have to be covered before the likeliest is concluded, and are not: {@see Coverage}
     */
    private function __construct(
        public Predictions $predictions,
        public array $components,
        public array $weights,
        public array $classes,
        public array $members,
        public array $pairs,
        public array $open,
    ) {}

    /** @param  list<Reading>  $readings  those at places that are not there any more are left out before */
    public static function from(Predictions $of, array $readings): self
    {
        [$components, $members] = self::components($of);
        $other = log(self::PRIOR[self::SEVERAL]);
        $taken = [];
        foreach (self::telling($readings) as $reading) {
            $shares = self::keys($of, $reading);
            $meter = Multimeter::tolerance($reading->value);
            $base = 0.0;
            foreach ($shares as $key => $share) {
                $base += $share * ($of->base[$key] ?? 0.0);
            }
            $taken[] = ['shares' => $shares, 'value' => $reading->value, 'meter' => $meter];
            foreach ($components as $component) {
                $component->take($shares, $reading->value, $meter);
            }
            $wide = self::NEARBY[0] * abs($base) + self::NEARBY[1];
            $nearby = exp(-0.5 * (($reading->value - $base) / $wide) ** 2) / (sqrt(2 * M_PI) * $wide);
            $other += log(0.5 * $nearby + 0.5 / self::ANYTHING);
        }
        $pairs = [];
        $single = self::likeliestSingle($components);
        if (count($taken) === 1) {
            // One reading fits any number of faults.
            $two = $single->log + log(self::TWO);
            $other = max($other, $two) + log(1 + exp(-abs($other - $two)));
        }
        [$weights, $classes] = self::shares($components, $other);
        // Good wiring is concluded from coverage: two small faults would fit it too.
        if (count($taken) > 1 && $single->class !== self::NONE && max($classes) >= self::LIKELY) {
            $two = FaultPairs::from($of, $taken, $single->class, $single->misfit);
            $pairs = $two->faults();
            array_push($components, ...$two->components($taken, $single->log + log(self::odds(count($taken)))));
            [$weights, $classes] = self::shares($components, $other);
        }

        return new self(
            predictions: $of,
            components: $components,
            weights: $weights,
            classes: $classes,
            members: $members,
            pairs: $pairs,
            open: Coverage::open($of, $taken, (string) array_key_first($classes)),
        );
    }

    /** Odds of two faults: the more readings one fault explains, the less likely it is that two only look like it. */
    private static function odds(int $readings): float
    {
        return self::TWO * min(1.0, self::FEW / $readings) ** 3;
    }

    /**
     * Shares that add up to one.
     *
     * @param  list<Component>  $components
     * @param  float  $other logarithm of the weight of the unmodelled rest
     * @return array{list<float>, non-empty-array<string, float>} of each component, then of the unmodelled rest; of each class, most likely first
     */
    private static function shares(array $components, float $other): array
    {
        $logs = [...array_map(static fn(Component $c): float => $c->log, $components), $other];
        $most = max($logs);
        $weights = array_map(static fn(float $l): float => exp($l - $most), $logs);
        $sum = array_sum($weights);
        $weights = array_map(static fn(float $w): float => $w / $sum, $weights);
        $classes = [self::SEVERAL => $weights[count($components)]];
        foreach ($components as $n => $component) {
            $classes[$component->class] = ($classes[$component->class] ?? 0.0) + $weights[$n];
        }
        arsort($classes);

        return [$weights, $classes];
    }

    /**
     * Component with the most weight.
     *
     * @param  non-empty-list<Component>  $components
     */
    private static function likeliestSingle(array $components): Component
    {
        $best = $components[0];
        foreach ($components as $c) {
            $best = $c->log > $best->log ? $c : $best;
        }

        return $best;
    }

    /**
     * Readings under a command that faults are solved under: others have their band, and tell no fault apart.
     *
     * @param  list<Reading>  $readings
     * @return list<Reading>
     */
    public static function telling(array $readings): array
    {
        return array_values(
            array_filter(
                $readings,
                static fn(Reading $r): bool => in_array($r->command->key, Predictions::COMMANDS, true),
            ),
        );
    }

    /** Expected meter reading for a class at its likeliest size; null for the unmodelled rest. */
    public function expects(string $class, string $key): ?float
    {
        return $this->likeliest($class)?->expects([$key => 1.0], 0.0)->value;
    }

    /** The class that is most likely. */
    public function top(): string
    {
        return (string) array_key_first($this->classes);
    }

    /** The likeliest fault of a class, at the size fitted to the readings; null for no fault and for the unmodelled rest. */
    public function fault(string $class): ?Fault
    {
        $best = $this->likeliest($class);

        if ($best === null) {
            return null;
        }

        return $best->fault?->sized($best->size());
    }

    private function likeliest(string $class): ?Component
    {
        $best = null;
        $most = -1.0;
        foreach ($this->components as $n => $component) {
            if ($component->class === $class && $this->weights[$n] > $most) {
                [$best, $most] = [$component, $this->weights[$n]];
            }
        }

        return $best;
    }

    /**
     * Weights of the solved keys that form a reading.
     *
     * @return array<string, float>
     */
    public static function keys(Predictions $of, Reading $reading): array
    {
        $keys = [];
        foreach ($of->shares($reading->spot) as $spot => $share) {
            $keys["{$reading->command->key} {$spot}"] = $share;
        }

        return $keys;
    }

    /** @return array{non-empty-list<Component>, array<string, list<Fault>>} */
    private static function components(Predictions $of): array
    {
        $kinds = $members = [];
        foreach ($of->faults as $row) {
            $class = $row['fault']->kind->class();
            $kinds[$class][$row['fault']->place] = true;
            $members[$row['fault']->class()][] = $row['fault'];
        }
        $rest = 1 - array_sum(self::PRIOR);
        $components = [
            new Component(
                class: self::NONE,
                fault: null,
                from: $of->base,
                to: null,
                least: 1.0,
                most: 1.0,
                rail: $of->rail,
                supply: $of->supply,
                prior: self::PRIOR[self::NONE],
            ),
        ];
        $seen = [];
        foreach ($of->faults as $row) {
            ['fault' => $fault, 'sizes' => $sizes, 'values' => $values] = $row;
            $class = $fault->kind->class();
            $name = $fault->class();
            if (isset($seen[$name])) {
                continue;
            }
            $seen[$name] = true;
            $prior = $rest / count($kinds) / count($kinds[$class]);
            $pieces = $fault->kind->gradual() ? count($sizes) - 1 : 0;
            for ($n = 0; $n < max(1, $pieces); $n++) {
                $to = $pieces !== 0 ? $values[$n + 1] : null;
                $components[] = new Component(
                    class: $name,
                    fault: $fault,
                    from: $values[$n],
                    to: $to,
                    least: $sizes[$n],
                    most: $sizes[min($n + 1, count($sizes) - 1)],
                    // A small fault leaves them unchanged.
                    rail: 2 * $n < $pieces ? $of->rail : $row['rail'],
                    supply: 2 * $n < $pieces ? $of->supply : $row['supply'],
                    prior: $prior / max(1, $pieces),
                );
            }
        }

        return [$components, $members];
    }
}
