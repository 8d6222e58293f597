<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Log;

use EmberDusk\Bench\BenchSolver;
use EmberDusk\Bench\Meter\Command;
use EmberDusk\Bench\Meter\Expected;
use EmberDusk\Bench\Meter\Multimeter;
use EmberDusk\Bench\Meter\Reading;
use EmberDusk\Bench\Meter\Spots;
use EmberDusk\Circuit\Island;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\Refusal;

/** The readings of an island held against what good wiring shows. What is doubted, gone or read again is kept, and counts nothing. */
final readonly class Evidence
{
    /** @param  list<Row>  $rows  in the order of time */
    private function __construct(public array $rows, public ?Expected $expected) {}

    public static function of(Plan $plan, Island $island, BenchFacts $facts, BenchSolver $solver): self
    {
        $entries = $facts->readings($island, IslandIds::of($plan, $island));
        $spots = $commands = [];
        foreach ($entries as $e) {
            try {
                $spots[$e->place] ??= Spots::named($plan, $island, $e->place);
                $commands[$e->command] ??= Command::read($e->command);
            } catch (InvalidInput) {
                // It was there when it was read: it is asked back, below.
                continue;
            }
        }
        try {
            $expected =
                $spots === [] ? null : $solver->expected($plan, $island, array_values($spots), array_values($commands));
        } catch (Refusal) {
            $expected = null;
        }
        $rows = [];
        foreach ($entries as $n => $e) {
            $spot = $spots[$e->place] ?? null;
            $command = $commands[$e->command] ?? null;
            $range = $spot === null || $command === null ? null : $expected?->range("{$command->key} {$spot->id}");
            $doubt = $e->sure || $spot === null ? null : Doubt::of((float) $e->value, $spot->unit, $range);
            $rows[] = new Row(
                entry: $e,
                spot: $spot,
                reading: $spot === null || $command === null ? null : new Reading($spot, $command, (float) $e->value),
                range: $range,
                doubt: $doubt,
                stands: $doubt === null && $range !== null && self::last($entries, $n),
                against: $doubt === null ? self::against($entries, $n) : null,
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

    /** @param  list<LogEntry>  $entries */
    private static function last(array $entries, int $n): bool
    {
        foreach (array_slice($entries, $n + 1) as $later) {
            if ($later->place === $entries[$n]->place && $later->command === $entries[$n]->command) {
                return false;
            }
        }

        return true;
    }

    /**
     * The one before at the same place that differs by more than two meters may.
     *
     * @param  list<LogEntry>  $entries
     */
    private static function against(array $entries, int $n): ?LogEntry
    {
        $now = $entries[$n];
        foreach (array_reverse(array_slice($entries, 0, $n)) as $e) {
            if ($e->place === $now->place && $e->command === $now->command) {
                $may = Multimeter::tolerance((float) $e->value) + Multimeter::tolerance((float) $now->value);

                return !$now->sure && abs((float) $e->value - (float) $now->value) > $may ? $e : null;
            }
        }

        return null;
    }
}
