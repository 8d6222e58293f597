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
use EmberDusk\Plan\Run;
use EmberDusk\Values\Figure;

/** Tests of each run and of dimmed lamps, done and missing, and readings beside the predictions. */
final readonly class TestRecord
{
    /** @return list<array<string, mixed>> as in app/Screens/Handover/handover.json, $defs/sheetTested */
    public static function for(JobState $state): array
    {
        $readings = self::readings($state);
        $rows = [];
        foreach ($state->plan->runs as $id => $run) {
            $tests = Tests::ofRun($state->plan, $run);
            if ($tests !== []) {
                $rows[] = [
                    'name' => $run->name(),
                    'place' => $state->plan->places[$run->place]->name,
                    ...self::done($state, $tests),
                    'seen' => self::seen($state, $run),
                    'readings' => $readings[$id] ?? [],
                ];
            }
        }
        foreach ($state->plan->fixtures as $fitting) {
            $tests = LampTests::for($state->plan, $fitting);
            if ($tests !== []) {
                $rows[] = [
                    'name' => $state->plan->lightName((string) $fitting->module),
                    'place' => $state->plan->places[$fitting->place]->name,
                    ...self::done($state, $tests),
                    'seen' => '',
                    'readings' => [],
                ];
            }
        }

        return $rows;
    }

    /**
     * @param  list<BenchTest>  $tests
     * @return array{done: list<string>, untested: list<string>}
     */
    private static function done(JobState $state, array $tests): array
    {
        $done = $untested = [];
        foreach ($tests as $test) {
            $tick = $state->ticks[$test->id] ?? null;
            if ($tick === null) {
                $untested[] = self::title($test);
            } else {
                $done[] = self::title($test) . ", {$tick->at}";
            }
        }

        return ['done' => $done, 'untested' => $untested];
    }

    private static function title(BenchTest $test): string
    {
        return (string) preg_replace('/^.*?: /', '', $test->title);
    }

    /** Results for colours and count; empty if not tested. */
    private static function seen(JobState $state, Run $run): string
    {
        $seen = BenchObservation::for($state->plan, $run, $state->bench);
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

    /** @return array<string, list<array{where: string, read: string, expected: string, verdict: string}>> by the first run of an island */
    private static function readings(JobState $state): array
    {
        $by = [];
        foreach (Island::all($state->plan) as $island) {
            if ($state->bench->readings($island, IslandIds::for($state->plan, $island)) === []) {
                continue;
            }
            $first = (string) array_key_first($island->parts);
            foreach (ReadingEvidence::from($state->plan, $island, $state->bench, $state->solver)->rows as $row) {
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

    /** @return array{where: string, read: string, expected: string, verdict: string} */
    private static function reading(Row $row, string $words, string $unit, float $low, float $high): array
    {
        return [
            'where' => ucfirst($words) . ', ' . ($row->reading?->command->words() ?? ''),
            'read' => Multimeter::print((float) $row->entry->value, $unit),
            'expected' => self::band($low, $unit) . ' to ' . self::band($high, $unit),
            'verdict' => Verdict::for($row)->value,
        ];
    }
}
