<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Faults;

use EmberDusk\Bench\Meter\Multimeter;
use EmberDusk\Bench\Meter\Reading;

/** How likely each fault of an island is after the readings so far. Faults that no reading tells apart are one class. */
final readonly class Belief
{
    public const NONE = 'none';

    public const OTHER = 'other';

    /** Before anything is read: nothing wrong, something that is not modelled; faults share the rest by kind, then by place. */
    private const PRIOR = [self::NONE => 0.25, self::OTHER => 0.02];

    /** What is not modelled may show anything near what it should: a share of the value, and so many volts or amps. */
    private const ANYTHING = [0.3, 0.05];

    /**
     * @param  list<Component>  $components
     * @param  list<float>  $weights  of the components
     * @param  array<string, float>  $classes  most likely first
     * @param  array<string, list<Fault>>  $members  of a class
     */
    private function __construct(
        public Predictions $predictions,
        public array $components,
        public array $weights,
        public array $classes,
        public array $members,
    ) {}

    /** @param  list<Reading>  $readings  those at places that are not there any more are left out before */
    public static function of(Predictions $of, array $readings): self
    {
        [$components, $members] = self::components($of);
        $other = log(self::PRIOR[self::OTHER]);
        foreach (self::telling($readings) as $reading) {
            $shares = self::keys($of, $reading);
            $meter = Multimeter::tolerance($reading->value);
            $base = 0.0;
            foreach ($shares as $key => $share) {
                $base += $share * ($of->base[$key] ?? 0.0);
            }
            foreach ($components as $component) {
                $component->take($shares, $reading->value, $meter);
            }
            $wide = self::ANYTHING[0] * abs($base) + self::ANYTHING[1];
            $other -= 0.5 * (log(2 * M_PI * $wide ** 2) + (($reading->value - $base) / $wide) ** 2);
        }
        $logs = [...array_map(static fn(Component $c): float => $c->log, $components), $other];
        $most = max($logs);
        $weights = array_map(static fn(float $l): float => exp($l - $most), $logs);
        $sum = array_sum($weights);
        $weights = array_map(static fn(float $w): float => $w / $sum, $weights);
        $classes = [];
        foreach ($components as $n => $component) {
            $classes[$component->class] = ($classes[$component->class] ?? 0.0) + $weights[$n];
        }
        $classes[self::OTHER] = $weights[count($components)];
        arsort($classes);

        return new self($of, $components, $weights, $classes, $members);
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

    /** What a meter would show if it were that class, by its likeliest size; null for what is not modelled. */
    public function expects(string $class, string $key): ?float
    {
        return $this->likeliest($class)?->expects([$key => 1.0], 0.0)[0];
    }

    /** The class that is most likely. */
    public function top(): string
    {
        return (string) array_key_first($this->classes);
    }

    /** The likeliest fault of a class, at the size that the readings put it; null for none and for what is not modelled. */
    public function fault(string $class): ?Fault
    {
        $best = $this->likeliest($class);

        if ($best === null) {
            return null;
        }

        return $best->fault?->of($best->size());
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
     * Shares of the solved keys that make up what a reading is of.
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

    /** @return array{list<Component>, array<string, list<Fault>>} */
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
            $pieces = 0;
            if ($fault->kind->gradual()) {
                $pieces = count($sizes) - 1;
            }
            for ($n = 0; $n < max(1, $pieces); $n++) {
                $to = null;
                if ($pieces !== 0) {
                    $to = $values[$n + 1];
                }
                $components[] = new Component(
                    class: $name,
                    fault: $fault,
                    from: $values[$n],
                    to: $to,
                    least: $sizes[$n],
                    most: $sizes[min($n + 1, count($sizes) - 1)],
                    // A small fault leaves them as they are.
                    rail: 2 * $n < $pieces ? $of->rail : $row['rail'],
                    supply: 2 * $n < $pieces ? $of->supply : $row['supply'],
                    prior: $prior / max(1, $pieces),
                );
            }
        }

        return [$components, $members];
    }
}
