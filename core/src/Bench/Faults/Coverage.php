<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Faults;

use EmberDusk\Bench\Meter\ExpectedReadings;
use EmberDusk\Bench\Meter\MeterCommand;
use EmberDusk\Bench\Meter\MeterSpot;
use EmberDusk\Bench\Meter\Reading;

/**
 * Which faults the readings so far would have shown. A fault counts as covered once the smallest size that is worth finding would move the
 * readings clear of good wiring. A low supply counts only once its own terminals were read: behind a dead feed no other reading shows it.
 * Nothing is concluded while a fault that could hide behind the conclusion is not covered.
 */
final readonly class Coverage
{
    /** Standard deviations by which a fault has to move the readings. */
    public const CLEAR = 3.0;

    /** Faults of source and load: each changes what every other reading means. */
    private const EVERYWHERE = [FaultKind::Low, FaultKind::Overload, FaultKind::Strip, FaultKind::Limit];

    /**
     * Classes that are not covered yet but must be before a conclusion: all for good wiring, those of source and load for a fault.
     *
     * @param  list<array{shares: array<string, float>, value: float, meter: float}>  $readings
     * @return list<string>
     */
    public static function open(Predictions $of, array $readings, string $class): array
    {
        $open = [];
        $noise = WhitenedReadings::from($of, $readings);
        $read = [];
        foreach ($readings as ['shares' => $shares]) {
            $read += $shares;
        }
        foreach ($of->faults as ['fault' => $fault, 'values' => $values, 'least' => $least]) {
            $name = $fault->class();
            $needed = $class === FaultBelief::NONE || in_array($fault->kind, self::EVERYWHERE, true);
            if ($least === null || !$needed || $name === $class || isset($open[$name])) {
                continue;
            }
            $moved = 0.0;
            foreach ($noise->moved(WhitenedReadings::values($values[$least], $readings)) as $v) {
                $moved += $v * $v;
            }
            $terminals = $fault->kind !== FaultKind::Low || self::reads($read, $fault->place);
            // Slightly below the limit for a single reading, because the model's own error is counted here too.
            if ($moved < (0.8 * self::CLEAR) ** 2 || !$terminals) {
                $open[$name] = true;
            }
        }

        return array_keys($open);
    }

    /**
     * The reading that covers the most open faults.
     *
     * @param  list<Reading>  $readings  so far
     * @return array{MeterSpot, MeterCommand}|null null where no reading covers any of it
     */
    public static function next(FaultBelief $belief, array $readings): ?array
    {
        $of = $belief->predictions;
        $read = [];
        foreach ($readings as $r) {
            $read["{$r->command->key} {$r->spot->id}"] = true;
        }
        $open = array_fill_keys($belief->open, true);
        $rows = array_filter(
            $of->faults,
            static fn(array $row): bool => $row['least'] !== null && isset($open[$row['fault']->class()]),
        );
        $best = null;
        $most = 0.0;
        foreach (array_keys(array_diff_key($of->base, $read)) as $key) {
            $value = $of->base[$key];
            $deviation = ExpectedReadings::spread($value, $of->rail[$key], $of->supply[$key]);
            $covers = 0.0;
            foreach ($rows as ['fault' => $fault, 'values' => $values, 'least' => $least]) {
                $here = $fault->kind !== FaultKind::Low || self::reads([$key => 1.0], $fault->place);
                $covers += $here ? min(1.0, abs($values[$least][$key] - $value) / $deviation / self::CLEAR) ** 2 : 0.0;
            }
            if ($covers > $most + 1e-6) {
                [$best, $most] = [$key, $covers];
            }
        }
        if ($best === null || $most < 0.5) {
            return null;
        }
        [$command, $spot] = explode(' ', $best);

        return [$of->spots[$spot], MeterCommand::read($command)];
    }

    /** @param  array<string, float>  $keys  Whether a supply's terminals are among them. */
    private static function reads(array $keys, string $supply): bool
    {
        return isset($keys[MeterCommand::FULL . " {$supply}"]) || isset($keys[MeterCommand::DARK . " {$supply}"]);
    }
}
