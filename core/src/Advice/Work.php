<?php

declare(strict_types=1);

namespace EmberDusk\Advice;

use EmberDusk\Circuit\RunResult;
use EmberDusk\Kit\Entry;
use EmberDusk\Plan\Plan;
use EmberDusk\Workings\Trouble;

/** A plan with what was computed of its runs, the shelf it is chosen from, and which controllers a join run has joined. */
final readonly class Work
{
    /**
     * @param  array<string, RunResult|Trouble>  $results  by run
     * @param  array<string, array{entry: Entry, written: array<array-key, mixed>}>  $shelf  by id
     * @param  list<string>  $joined  controllers
     */
    public function __construct(public Plan $plan, public array $results, public array $shelf, public array $joined)
    {
    }

    public function result(string $run): ?RunResult
    {
        $result = $this->results[$run] ?? null;

        return $result instanceof RunResult ? $result : null;
    }

    /** @return list<Entry> */
    public function entries(): array
    {
        return array_column($this->shelf, 'entry');
    }
}
