<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Checks\Cases;

use EmberDusk\Bench\Log\BenchFacts;
use EmberDusk\Bench\Log\LogEntry;
use EmberDusk\Job\JobState;
use EmberDusk\Kit\NoShelf;
use EmberDusk\Tests\Bench\BenchJob;
use EmberDusk\Tests\Bench\LogTest;
use EmberDusk\Tests\Bench\MatrixTest;

/** Readings, colours and counts: for each code a log that fires it and its neighbour that does not. */
final readonly class BenchCases
{
    /** @return iterable<string, array{string, callable(): array{JobState, JobState}}> */
    public static function all(): iterable
    {
        $reads = static fn(string $place, float ...$values): array => array_map(
            static fn(float $v): LogEntry => LogTest::entry('reading', $place, 'full', $v),
            array_values($values),
        );
        $lit = static fn(int ...$sets): array => array_map(
            static fn(int $set, int $n): LogEntry => LogTest::entry(
                'colour',
                'bar',
                'colour:' . ($n + 1),
                $set,
                by: 'phone',
            ),
            array_values($sets),
            array_keys(array_values($sets)),
        );
        $ends = static fn(int $last): array => [LogTest::entry('count', 'star', 'count:96', $last)];
        $borrowed = static fn(string $by): array => [LogTest::entry('colour', 'bar', 'colour:1', 1, by: $by)];
        $failed = [LogTest::entry('fail', 'bar', 'bar/loose/dead', null, 'Dead test: not as expected')];
        $cases = [
            'reading' => [$reads('s1', 22.0), $reads('s1', 24.0)],
            'reading outside one joint' => [$reads('k2:from:1', 0.09), $reads('s1', 24.0)],
            'reading-asked' => [$reads('s1', 24000.0), $reads('s1', 24.0)],
            'reading-against' => [$reads('s1', 24.0, 20.0), $reads('s1', 24.0, 23.9)],
            'reading-gone' => [$reads('k99:drop:1', 0.1), $reads('s1', 24.0)],
            'colours' => [$lit(1, 2, 8, 4), $lit(1, 2, 4, 8)],
            'colours contradicting' => [$lit(1, 1), $lit(1, 2)],
            'colours that it has not' => [[LogTest::entry('colour', 'bar', 'colour:6', 1)], $lit(1)],
            'pixel-count' => [$ends(52), $ends(96)],
            'bench-remote' => [$borrowed('remote'), $borrowed('phone')],
            'test-failed' => [$failed, [...$failed, LogTest::entry('mend', 'bar', 'lead-loose@c1', null, 'lead')]],
            'test-failed again' => [
                [LogTest::entry('mend', 'bar', 'lead-loose@c1', null, 'lead'), ...$failed],
                [LogTest::entry('remark', 'bar', 'bar/loose/dead', null, 'Looks fine')],
            ],
        ];
        foreach ($cases as $name => [$fires, $not]) {
            yield "bench: {$name}" => [
                explode(' ', $name)[0],
                static fn(): array => [self::job($fires), self::job($not)],
            ];
        }
        $wall = static fn(
            int $columns,
            int $rows,
            ?string $first = null,
        ): callable => static fn(): JobState => new JobState(
            plan: MatrixTest::noted(
                BenchJob::plan(),
                $columns,
                $rows,
                $first,
                $first === null ? null : 'rows',
                $first === null ? null : true,
            ),
            results: [],
            shelf: new NoShelf(),
        );
        // 52 pixels and 44 behind the gap: 96, not one row more.
        yield 'bench: matrix-size' => ['matrix-size', static fn(): array => [$wall(12, 9)(), $wall(12, 8)()]];
        yield 'bench: matrix-order' => [
            'matrix-order',
            static fn(): array => [$wall(12, 8)(), $wall(12, 8, 'top left')()],
        ];
    }

    /** @param  list<LogEntry>  $entries */
    public static function job(array $entries): JobState
    {
        return new JobState(plan: BenchJob::plan(), results: [], shelf: new NoShelf(), bench: new BenchFacts($entries));
    }
}
