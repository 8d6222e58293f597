<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Log;

use EmberDusk\Bench\BenchSolver;
use EmberDusk\Bench\Meter\ExpectedReadings;
use EmberDusk\Bench\Meter\MeterCommand;
use EmberDusk\Bench\Meter\MeterSpots;
use EmberDusk\Bench\Meter\Multimeter;
use EmberDusk\Bench\Meter\Reading;
use EmberDusk\Circuit\Island;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\Refusal;

/** The readings of an island compared with good wiring. Doubtful, obsolete and repeated readings are kept and do not count. */
final readonly class ReadingEvidence
{
    /** @param  list<Row>  $rows  in the order of time */
    private function __construct(public array $rows, public ?ExpectedReadings $expected) {}

    public static function from(Plan $plan, Island $island, BenchFacts $facts, BenchSolver $solver): self
    {
        $entries = $facts->readings($island, IslandIds::for($plan, $island));
        $spots = $commands = [];
        foreach ($entries as $e) {
            try {
                $spots[$e->place] ??= MeterSpots::named($plan, $island, $e->place);
                $commands[$e->command] ??= MeterCommand::read($e->command);
            } catch (InvalidInput) {
                // It was there when it was read: it is asked back, below.
                continue;
            }
        }
        // The current through a joint with measured volts gives its ohms.
        foreach ($spots as $id => $spot) {
            if (preg_match('/^([a-z0-9-]+):(?:from|to):([1-6])$/', $id, $m) === 1 && isset($plan->cables[$m[1]])) {
                $through = "{$m[1]}:amps:{$m[2]}";
                $spots[$through] ??= MeterSpots::named($plan, $island, $through);
            }
        }
        try {
            $expected =
                $spots !== [] ? $solver->expected($plan, $island, array_values($spots), array_values($commands)) : null;
        } catch (Refusal) {
            $expected = null;
        }
        $ranges = $doubts = [];
        foreach ($entries as $n => $e) {
            $spot = $spots[$e->place] ?? null;
            $ranges[$n] = isset($commands[$e->command]) ? $expected?->range("{$e->command} {$spot?->id}") : null;
            $doubts[$n] =
                $e->sure || $spot === null ? null : DoubtfulReading::from((float) $e->value, $spot->unit, $ranges[$n]);
        }
        // The last undoubted reading at each place counts, and settles earlier doubts there.
        $sound = array_diff_key($entries, array_filter($doubts));
        $rows = [];
        foreach ($entries as $n => $e) {
            $spot = $spots[$e->place] ?? null;
            $command = $commands[$e->command] ?? null;
            $later = self::later($sound, $n, $e);
            $reading = $spot !== null && $command !== null ? new Reading($spot, $command, (float) $e->value) : null;
            $doubt = !$later ? $doubts[$n] : null;
            $against = !$later && $doubts[$n] === null ? self::against($sound, $n, $e) : null;
            $rows[] = new Row(
                entry: $e,
                spot: $spot,
                reading: $reading,
                range: $ranges[$n],
                doubt: $doubt,
                stands: !$later && $doubts[$n] === null && $ranges[$n] !== null,
                against: $against,
            );
        }

        return new self($rows, $expected);
    }

    /** @return list<Reading> that count */
    public function readings(): array
    {
        return array_values(
            array_filter(array_map(static fn(Row $r): ?Reading => $r->stands ? $r->reading : null, $this->rows)),
        );
    }

    /**
     * Whether something was read at the same place after it.
     *
     * @param  array<int, LogEntry>  $sound
     */
    private static function later(array $sound, int $n, LogEntry $e): bool
    {
        foreach ($sound as $k => $other) {
            if ($k > $n && $other->place === $e->place && $other->command === $e->command) {
                return true;
            }
        }

        return false;
    }

    /**
     * The one before at the same place that differs by more than two meters may.
     *
     * @param  array<int, LogEntry>  $sound
     */
    private static function against(array $sound, int $n, LogEntry $now): ?LogEntry
    {
        foreach (array_reverse($sound, true) as $k => $e) {
            if ($k < $n && $e->place === $now->place && $e->command === $now->command) {
                $may = Multimeter::tolerance((float) $e->value) + Multimeter::tolerance((float) $now->value);

                if (!$now->sure && abs((float) $e->value - (float) $now->value) > $may) {
                    return $e;
                }

                return null;
            }
        }

        return null;
    }
}
