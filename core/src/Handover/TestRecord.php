<?php

declare(strict_types=1);

namespace EmberDusk\Handover;

use EmberDusk\Bench\BenchObservation;
use EmberDusk\Bench\Log\IslandIds;
use EmberDusk\Bench\Log\ReadingEvidence;
use EmberDusk\Bench\Log\Row;
use EmberDusk\Bench\Meter\Multimeter;
use EmberDusk\Bench\Tests\BenchTest;
use EmberDusk\Bench\Tests\LampTests;
use EmberDusk\Bench\Tests\Tests;
use EmberDusk\Checks\Bench\Verdict;
use EmberDusk\Circuit\Island;
use EmberDusk\Job\JobState;
use EmberDusk\Plan\LightNames;
use EmberDusk\Plan\Run;
use EmberDusk\Values\Figure;

/** Tests of each run and of dimmed lamps, done and missing, and readings beside the predictions. */
final readonly class TestRecord
{
    private function __construct(private JobState $state) {}

    /** @return list<SheetTested> */
    public static function for(JobState $state): array
    {
        return (new self($state))->tested();
    }

    /** @return list<SheetTested> */
    private function tested(): array
    {
        $readings = $this->readings();
        $rows = [];
        foreach ($this->state->plan->runs as $id => $run) {
            $tests = Tests::ofRun($this->state->plan, $run);
            if ($tests !== []) {
                $rows[] = new SheetTested(
                    name: $run->name(),
                    place: $this->state->plan->places[$run->place]->name,
                    done: $this->done($tests),
                    untested: $this->untested($tests),
                    seen: $this->seen($run),
                    readings: $readings[$id] ?? [],
                );
            }
        }
        foreach ($this->state->plan->fixtures as $fitting) {
            $tests = LampTests::for($this->state->plan, $fitting);
            if ($tests !== []) {
                $rows[] = new SheetTested(
                    name: (new LightNames($this->state->plan))->of((string) $fitting->module),
                    place: $this->state->plan->places[$fitting->place]->name,
                    done: $this->done($tests),
                    untested: $this->untested($tests),
                    seen: '',
                    readings: [],
                );
            }
        }

        return $rows;
    }

    /**
     * @param  list<BenchTest>  $tests
     * @return list<string>
     */
    private function done(array $tests): array
    {
        $done = [];
        foreach ($tests as $test) {
            $tick = $this->state->ticks[$test->id] ?? null;
            if ($tick !== null) {
                $done[] = self::title($test) . ", {$tick->at}";
            }
        }

        return $done;
    }

    /**
     * @param  list<BenchTest>  $tests
     * @return list<string>
     */
    private function untested(array $tests): array
    {
        return array_values(
            array_map(
                self::title(...),
                array_filter($tests, fn(BenchTest $t): bool => !isset($this->state->ticks[$t->id])),
            ),
        );
    }

    private static function title(BenchTest $test): string
    {
        return (string) preg_replace('/^.*?: /', '', $test->title);
    }

    /** Results for colours and count; empty if not tested. */
    private function seen(Run $run): string
    {
        $seen = BenchObservation::for($this->state->plan, $run, $this->state->bench);
        $found = $seen->finder?->found();
        $said = [];
        if ($found !== null && $seen->answers !== []) {
            $said[] = $seen->words?->verdict($found) ?? '';
        }
        if ($seen->counts !== []) {
            $said[] = ucfirst($seen->says()) . '.';
        }

        return implode(' ', $said);
    }

    /** @return array<string, list<SheetReading>> by the first run of an island */
    private function readings(): array
    {
        $by = [];
        foreach (Island::all($this->state->plan) as $island) {
            if ($this->state->bench->readings($island, IslandIds::for($this->state->plan, $island)) === []) {
                continue;
            }
            $first = (string) array_key_first($island->parts);
            foreach (
                ReadingEvidence::from($this->state->plan, $island, $this->state->bench, $this->state->solver)->rows
                as $row
            ) {
                if ($row->stands && $row->spot !== null && $row->range !== null) {
                    $of = isset($island->parts[$row->spot->of]) ? $row->spot->of : $first;
                    $by[$of][] = self::reading(
                        $row,
                        $row->spot->words,
                        $row->spot->unit,
                        $row->range->low,
                        $row->range->high,
                    );
                }
            }
        }

        return $by;
    }

    /** An end of the band, one digit finer than a meter shows, to separate readings on it from those outside. */
    private static function band(float $value, string $unit): string
    {
        if (abs($value) < Multimeter::RANGES[0]) {
            return Figure::print(1000 * $value, 2) . " m{$unit}";
        }

        return Figure::print($value, 2) . " {$unit}";
    }

    private static function reading(Row $row, string $words, string $unit, float $low, float $high): SheetReading
    {
        return new SheetReading(
            where: ucfirst($words) . ', ' . ($row->reading?->command->words() ?? ''),
            read: Multimeter::print((float) $row->entry->value, $unit),
            expected: self::band($low, $unit) . ' to ' . self::band($high, $unit),
            verdict: Verdict::for($row)->value,
        );
    }
}
