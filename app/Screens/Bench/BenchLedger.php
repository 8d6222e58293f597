<?php

declare(strict_types=1);

namespace App\Screens\Bench;

use EmberDusk\Bench\Log\IslandIds;
use EmberDusk\Bench\Log\ReadingEvidence;
use EmberDusk\Bench\Log\Row;
use EmberDusk\Bench\Tests\BenchTest;
use EmberDusk\Bench\Tests\Tests;
use EmberDusk\Checks\Bench\Verdict;
use EmberDusk\Circuit\Island;
use EmberDusk\Job\JobState;
use EmberDusk\Values\Figure;
use EmberDusk\Values\Input;

/** The totals of the bench: tests that are done, readings by verdict. */
final readonly class BenchLedger
{
    /** @return list<Figure> */
    public static function for(JobState $state): array
    {
        $tests = Tests::for($state->plan);
        if ($tests === []) {
            return [];
        }
        $done = count(array_filter($tests, static fn(BenchTest $t): bool => isset($state->ticks[$t->id])));
        $figures = [
            self::count('Tests done', $done, 'of ' . count($tests), 'ticked here or at Build'),
            self::count('Tests left', count($tests) - $done, '', 'not ticked yet'),
        ];
        $verdicts = self::verdicts($state);
        if ($verdicts !== []) {
            foreach (Verdict::cases() as $verdict) {
                $of = $verdicts[$verdict->value] ?? 0;
                if ($verdict !== Verdict::Open || $of > 0) {
                    $label = $verdict !== Verdict::Open ? ucfirst($verdict->value) : 'To confirm';
                    $figures[] = self::count($label, $of, '', 'valid readings, by the expected band');
                }
            }
        }

        return $figures;
    }

    /** @return array<string, int> readings by verdict; none without any */
    private static function verdicts(JobState $state): array
    {
        $verdicts = [];
        foreach (Island::all($state->plan) as $island) {
            if ($state->bench->readings($island, IslandIds::for($state->plan, $island)) === []) {
                continue;
            }
            foreach (ReadingEvidence::from($state->plan, $island, $state->bench, $state->solver)->rows as $row) {
                if (self::counts($row)) {
                    $verdict = Verdict::for($row)->value;
                    $verdicts[$verdict] = ($verdicts[$verdict] ?? 0) + 1;
                }
            }
        }

        return $verdicts;
    }

    private static function counts(Row $row): bool
    {
        return $row->stands || $row->doubt !== null;
    }

    private static function count(string $label, int $count, string $unit, string $what): Figure
    {
        return new Figure(
            label: $label,
            value: $count,
            unit: $unit,
            decimals: 0,
            formula: 'n',
            inputs: [new Input('n', $what, $count, '', path: 'facts.bench')],
        );
    }
}
