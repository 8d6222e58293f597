<?php

declare(strict_types=1);

namespace EmberDusk\Job;

use EmberDusk\Bench\BenchSolver;
use EmberDusk\Bench\Log\BenchFacts;
use EmberDusk\Bench\SolvesNow;
use EmberDusk\Circuit\FixtureResult;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Costing\Basis;
use EmberDusk\Kit\CrewNote;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Parts\Mark;
use EmberDusk\Parts\Offcut;
use EmberDusk\Plan\Plan;
use EmberDusk\Rates\Productivity;
use EmberDusk\Schedule\Arrangement;
use EmberDusk\Schedule\Tick;
use EmberDusk\Values\Refusal;

/** State of a job: a plan with its results, the shelf, and the joined controllers. */
final class JobState
{
    private ?Schedule $schedule = null;

    /** @var array<class-string, object> */
    private array $made = [];

    /**
     * @param  array<string, RunResult|FixtureResult|Refusal>  $results  by run and by fitting
     * @param  array<string, array<string, RunResult|FixtureResult|Refusal>>  $scenes  likewise, by scene
     * @param  list<string>  $joined  controllers
     * @param  array<string, Mark>  $marks  how far parts are, by the part's key
     * @param  string  $today  YYYY-MM-DD
     * @param  string  $time  HH:MM of today; empty is before work
     * @param  array<string, Tick>  $ticks  steps and tests that are done
     * @param  list<Offcut>  $offcuts  that are in the van
     * @param  list<string>  $open  runs that are shown large
     * @param  string|null  $scene  that is looked at; null at everything full
     * @param  list<string>  $worked controls tested on site that worked, by control and light
     * @param  string  $zone  of the crew's clock
     * @param  list<CrewNote>  $notes  of the crew about its kit
     * @param  bool  $priced  false for those who may not see prices: none is in the plan and the shelf
     */
    public function __construct(
        public readonly Plan $plan,
        public readonly array $results,
        public readonly ShelfSource $shelf,
        public readonly array $joined = [],
        public readonly array $scenes = [],
        public readonly ?string $scene = null,
        public readonly array $open = [],
        public readonly array $marks = [],
        public readonly string $today = '',
        public readonly Arrangement $arrangement = new Arrangement(),
        public readonly array $ticks = [],
        public readonly ?Productivity $productivity = null,
        public readonly array $offcuts = [],
        public readonly string $time = '',
        public readonly BenchFacts $bench = new BenchFacts(),
        public readonly BenchSolver $solver = new SolvesNow(),
        public readonly array $worked = [],
        public readonly string $zone = 'UTC',
        public readonly array $notes = [],
        public readonly bool $priced = true,
    ) {}

    /** Parts, steps and the rest of them, calculated once and only where it is asked for. */
    public function schedule(): Schedule
    {
        return $this->schedule ??= new Schedule($this);
    }

    /** Inputs of its price besides the plan. */
    public function basis(): Basis
    {
        return new Basis(
            $this->shelf,
            Offcut::byKit($this->offcuts),
            $this->productivity ?? Productivity::from([]),
            $this->arrangement,
        );
    }

    /**
     * Cached derived object of a later room.
     *
     * @template T of object
     *
     * @param  class-string<T>  $class
     * @param  callable(): T  $make
     * @return T
     */
    public function once(string $class, callable $make): object
    {
        $made = $this->made[$class] ?? null;
        if (!($made instanceof $class)) {
            $made = $this->made[$class] = $make();
        }

        return $made;
    }

    public function result(string $run): ?RunResult
    {
        $result = $this->results[$run] ?? null;
        if ($result instanceof RunResult) {
            return $result;
        }

        return null;
    }

    public function fitting(string $id): ?FixtureResult
    {
        $result = $this->results[$id] ?? null;
        if ($result instanceof FixtureResult) {
            return $result;
        }

        return null;
    }

    /** In the scene that is looked at, or at full. */
    public function shown(string $run): ?RunResult
    {
        if ($this->scene === null) {
            return $this->result($run);
        }

        return $this->inScene($this->scene, $run);
    }

    public function inScene(string $scene, string $run): ?RunResult
    {
        $result = $this->scenes[$scene][$run] ?? null;
        if ($result instanceof RunResult) {
            return $result;
        }

        return null;
    }
}
