<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Faults;

use EmberDusk\Circuit\Island;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Values\Dice;
use EmberDusk\Values\Refusal;

/** Detectable faults: each moves a reading at a terminal or a pad by at least three times the meter error. */
final readonly class FaultDraw
{
    public function __construct(private Predictions $of) {}

    /** @return array<string, list<float>> sizes that are large enough, by KIND@PLACE */
    public function all(): array
    {
        $all = [];
        foreach ($this->of->faults as $row => ['fault' => $fault, 'sizes' => $sizes]) {
            foreach ($sizes as $n => $size) {
                if ($this->of->matters($row, $n)) {
                    $all[$fault->name()][] = $size;
                }
            }
        }

        return $all;
    }

    /**
     * Name of a random fault of an island near a run; null if the island can have none. A fault counts if readings can detect one of its sizes. Only
     * drawn faults are solved.
     *
     * @throws Refusal when the circuit has no solution even without a fault
     */
    public static function name(Plan $plan, Island $island, Run $run, int $seed): ?string
    {
        $dice = new Dice($seed);
        /** @var array<string, non-empty-array<string, Fault>> $kinds */
        $kinds = [];
        foreach (Predictions::possible($plan, $island, $run) as $fault) {
            $kinds[$fault->kind->value][$fault->name()] = $fault;
        }
        for ($try = 0; $kinds !== []; $try++) {
            $kind = self::pick($dice, array_keys($kinds), "kind {$try}");
            $name = self::pick($dice, array_keys($kinds[$kind]), "place {$try}");
            if ((new self(Predictions::for($plan, $island, $run, $kinds[$kind][$name])))->all() !== []) {
                return $name;
            }
            $kinds = array_filter([...$kinds, $kind => array_diff_key($kinds[$kind], [$name => true])]);
        }

        return null;
    }

    /** That fault, as large as chance has it; null where this island cannot have it large enough to be met. */
    public function named(string $name, int $seed): ?Fault
    {
        $sizes = $this->all()[$name] ?? [];
        if ($sizes === []) {
            return null;
        }
        $dice = new Dice($seed);
        foreach ($this->of->faults as ['fault' => $fault]) {
            if ($fault->name() === $name) {
                $n = (int) $dice->between(0, count($sizes) - 1e-9, 'size');
                $next = $sizes[$n + 1] ?? $sizes[$n];
                if ($fault->kind->gradual() && self::beside($fault->kind, $sizes[$n], $next)) {
                    $size = $dice->between($sizes[$n], $next, 'between');
                } else {
                    $size = $sizes[$n];
                }

                return $fault->sized($size);
            }
        }

        return null;
    }

    /** Sizes around the correct value are not drawn: there is no fault. */
    private static function beside(FaultKind $kind, float $a, float $b): bool
    {
        return $kind !== FaultKind::Strip || ($a - 1) * ($b - 1) > 0;
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $of
     * @return T
     */
    private static function pick(Dice $dice, array $of, string $occasion): mixed
    {
        return $of[(int) $dice->between(0, count($of) - 1e-9, $occasion)];
    }
}
