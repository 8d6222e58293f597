<?php

declare(strict_types=1);

namespace EmberDusk\Advice;

use EmberDusk\Advice\Works\Kept;
use EmberDusk\Circuit\FixtureResult;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Parts\Mark;
use EmberDusk\Parts\Offcut;
use EmberDusk\Plan\Plan;
use EmberDusk\Rates\Productivity;
use EmberDusk\Schedule\Arrangement;
use EmberDusk\Schedule\Tick;
use EmberDusk\Values\Trouble;

/** A plan with what was computed of its runs, the shelf it is chosen from, and which controllers a join run has joined. */
final readonly class Work
{
    /**
     * @param  array<string, RunResult|FixtureResult|Trouble>  $results  by run and by fitting
     * @param  array<string, array<string, RunResult|FixtureResult|Trouble>>  $scenes  likewise, by scene
     * @param  list<string>  $joined  controllers
     * @param  array<string, Mark>  $marks  how far parts are, by the part's key
     * @param  string  $today  YYYY-MM-DD
     * @param  string  $time  HH:MM of today; empty is before work
     * @param  array<string, Tick>  $ticks  steps that are done
     * @param  list<Offcut>  $offcuts  that lie in the van
     * @param  list<string>  $open  runs that are shown large
     * @param  string|null  $scene  that is looked at; null at everything full
     */
    public function __construct(
        public Plan $plan,
        public array $results,
        public ShelfSource $shelf,
        public array $joined,
        public array $scenes = [],
        public ?string $scene = null,
        public array $open = [],
        public array $marks = [],
        public string $today = '',
        public Arrangement $arrangement = new Arrangement(),
        public array $ticks = [],
        public ?Productivity $productivity = null,
        public array $offcuts = [],
        public string $time = '',
        public Kept $kept = new Kept(),
    ) {}

    public function result(string $run): ?RunResult
    {
        $result = $this->results[$run] ?? null;

        return $result instanceof RunResult ? $result : null;
    }

    public function fitting(string $id): ?FixtureResult
    {
        $result = $this->results[$id] ?? null;

        return $result instanceof FixtureResult ? $result : null;
    }

    /** In the scene that is looked at, or at full. */
    public function shown(string $run): ?RunResult
    {
        return $this->scene === null ? $this->result($run) : $this->inScene($this->scene, $run);
    }

    public function inScene(string $scene, string $run): ?RunResult
    {
        $result = $this->scenes[$scene][$run] ?? null;

        return $result instanceof RunResult ? $result : null;
    }
}
