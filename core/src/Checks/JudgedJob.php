<?php

declare(strict_types=1);

namespace EmberDusk\Checks;

use EmberDusk\Circuit\BankDraw;
use EmberDusk\Circuit\BankStates;
use EmberDusk\Circuit\CableResult;
use EmberDusk\Circuit\ControllerLoad;
use EmberDusk\Circuit\ControllerResult;
use EmberDusk\Circuit\FixtureResult;
use EmberDusk\Circuit\RunResult;
use EmberDusk\Circuit\SupplyLoad;
use EmberDusk\Circuit\SupplyResult;
use EmberDusk\Job\JobState;
use EmberDusk\Kit\Entry;
use EmberDusk\Kit\NoShelf;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\JobStage;
use EmberDusk\Values\Refusal;

/**
 * A job under judgement: the plan, its currents (the worst of full light, every scene and every solved state), and the shelf for fixes; without a
 * shelf no fix is proposed.
 */
final class JudgedJob
{
    /** Amps below which no light is on: standby of controllers. */
    private const STANDBY = 0.05;

    /** @var array<string, CableResult>|null */
    private ?array $cables = null;

    /** @var array<string, SupplyResult>|null */
    private ?array $supplies = null;

    /** @var array<string, array<string, float>>|null watts by supply, by run */
    private ?array $zones = null;

    /** @var array<string, ControllerResult>|null */
    private ?array $controllers = null;

    /** @var array<string, string>|null first run on each unit */
    private ?array $firstRuns = null;

    /** @var list<JudgedRun>|null */
    private ?array $runs = null;

    private function __construct(
        public readonly JobState $state,
        public readonly Plan $plan,
        public readonly ?ShelfSource $shelf,
    ) {}

    /** Cached per job state, so that currents are summed once. */
    public static function for(JobState $state): self
    {
        return $state->once(self::class, static fn(): self => new self($state, $state->plan, $state->shelf));
    }

    /**
     * A plan alone, as the planner and the options ask.
     *
     * @param  array<string, RunResult|FixtureResult|Refusal>  $results  by run and by fitting
     */
    public static function plan(Plan $plan, array $results, ?ShelfSource $shelf = null): self
    {
        return new self(new JobState($plan, $results, $shelf ?? new NoShelf()), $plan, $shelf);
    }

    public function result(string $run): ?RunResult
    {
        return $this->state->result($run);
    }

    /** @return array<string, RunResult> by run, solved ones only */
    public function results(): array
    {
        $results = [];
        foreach (array_keys($this->plan->runs) as $id) {
            $result = $this->result($id);
            if ($result !== null) {
                $results[$id] = $result;
            }
        }

        return $results;
    }

    public function fitting(string $id): ?FixtureResult
    {
        return $this->state->fitting($id);
    }

    /** @return list<JudgedRun> */
    public function runs(): array
    {
        return $this->runs ??= array_values(
            array_map(fn(Run $r): JudgedRun => new JudgedRun($this, $r), $this->plan->runs),
        );
    }

    /** @return array<string, CableResult> the most that each cable carries, once each */
    public function cables(): array
    {
        if ($this->cables === null) {
            $cables = [];
            foreach ($this->solved() as $result) {
                foreach ($result->cables as $id => $cable) {
                    $cables[$id] = isset($cables[$id]) ? $cables[$id]->most($cable) : $cable;
                }
            }
            uksort($cables, strnatcmp(...));
            $this->cables = array_intersect_key($cables + $this->inputs(), $this->plan->cables);
        }

        return $this->cables;
    }

    /** Load of a supply: the label load of its lights, or the current where that is higher. */
    public function supply(string $id): SupplyLoad
    {
        if ($this->supplies === null) {
            $this->supplies = [];
            foreach ($this->solved() as $result) {
                foreach ($result->supplies as $of => $supply) {
                    $now = $this->supplies[$of] ?? $supply;
                    $this->supplies[$of] = $supply->amps > $now->amps ? $supply : $now;
                }
            }
        }

        return SupplyLoad::for(
            $this->plan,
            $id,
            $this->supplies[$id] ?? null,
            $this->zones ??= SupplyLoad::parts($this->plan),
        );
    }

    /**
     * The least that flows from a supply while anything on it is lit: at full and in every scene; null while nothing is solved.
     */
    public function leastAmps(string $id): ?float
    {
        $least = null;
        foreach ($this->solved() as $result) {
            $amps = $result->supplies[$id]->amps ?? 0.0;
            // Standby alone is no light.
            if ($amps > self::STANDBY) {
                $least = min($least ?? INF, $amps);
            }
        }

        return $least;
    }

    /** Amps from a bank at its nominal volts: to what hangs straight on it, and to its converters. */
    public function bankAmps(string $bank): float
    {
        return BankStates::amps($this->plan, $bank, null) + $this->supply($bank)->amps();
    }

    /** Place of findings about a unit: Kit, with its first run. */
    public function placeOf(string $unit): FindingPlace
    {
        if ($this->firstRuns === null) {
            $this->firstRuns = [];
            foreach ($this->plan->runs as $id => $run) {
                foreach ($this->plan->ways()->unitsOf($run) as $of) {
                    $this->firstRuns[$of] ??= $id;
                }
            }
        }

        return new FindingPlace(JobStage::Kit, $this->firstRuns[$unit] ?? '');
    }

    /** @return array<string, CableResult> currents from banks to their converters with empty banks */
    private function inputs(): array
    {
        $inputs = [];
        foreach ($this->plan->supplies as $id => $unit) {
            $bank = $this->plan->supply($unit->bank);
            $draw = $bank !== null ? BankDraw::for($this->plan, $id, $this->supply($id)->watts()) : null;
            if ($bank !== null && $draw !== null) {
                $inputs[$draw->cable->id] = $draw->result($bank->lowest ?? $bank->emf);
            }
        }

        return $inputs;
    }

    /** Load of a controller, from all connected parts. */
    public function controller(string $id): ControllerLoad
    {
        if ($this->controllers === null) {
            $this->controllers = [];
            foreach ($this->solved() as $result) {
                foreach ($result->controllers as $of => $controller) {
                    $this->controllers[$of] = isset($this->controllers[$of])
                        ? $this->controllers[$of]->most($controller)
                        : $controller;
                }
            }
        }

        return ControllerLoad::for($this->plan, $id, $this->controllers[$id] ?? null);
    }

    /**
     * Entries of a kind from the shelf that will do, the least of them first.
     *
     * @template T of Entry
     *
     * @param  class-string<T>  $kind
     * @param  callable(T): bool  $fits
     * @param  callable(T): float  $size
     * @return T|null
     */
    public function smallest(string $kind, callable $fits, callable $size): ?Entry
    {
        $best = null;
        $name = strtolower(substr((string) strrchr($kind, '\\'), 1));
        foreach ($this->shelf?->ofKind($name) ?? [] as $snapshot) {
            $entry = $snapshot->entry;
            if ($entry instanceof $kind && $fits($entry) && ($best === null || $size($entry) < $size($best))) {
                $best = $entry;
            }
        }

        return $best;
    }

    /** @return iterable<RunResult|FixtureResult> of full light and of every scene */
    private function solved(): iterable
    {
        foreach ([$this->state->results, ...array_values($this->state->scenes)] as $results) {
            foreach ($results as $result) {
                if (!($result instanceof Refusal)) {
                    yield $result;
                }
            }
        }
    }
}
