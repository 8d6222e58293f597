<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Joining\Belief\Chooser;
use EmberDusk\Joining\Belief\MostTold;
use EmberDusk\Joining\Order\Order;
use EmberDusk\Joining\Simulation\Acceptance;
use EmberDusk\Joining\Simulation\SimulatedSite;
use EmberDusk\Joining\Simulation\Trap;
use EmberDusk\Values\NoSolution;

/** Plays a join run with simulated hands that follow the guide, and eyes that read the simulated devices. */
final readonly class Rehearsal
{
    private const MOST_STEPS = 1_500;

    /**
     * @param  array<string, Observation>  $tried  what each control does at the end, by control and light
     * @param  list<string>  $found  keys of the faults that were named and fixed
     * @param  array<string, string>  $aside unexplained failures, by task
     * @param  list<array{float, JoinStep}>  $trail steps with their times
     */
    private function __construct(
        public LiveRun $run,
        public float $seconds,
        public int $steps,
        public array $tried,
        public array $found,
        public array $aside,
        public array $trail,
    ) {}

    public function works(): bool
    {
        return array_filter($this->tried, static fn(Observation $s): bool => $s !== Observation::Expected) === [];
    }

    /**
     * @param  list<Flaw>  $flaws
     * @param  list<OrderRule>  $dropped
     * @param  list<Trap>  $without
     *
     * @throws NoSolution when the hands never finish
     */
    public static function run(
        Roster $roster,
        int $seed,
        array $flaws = [],
        array $dropped = [],
        array $without = [],
        Person $person = new Person(),
        Chooser $chooser = new MostTold(),
    ): self {
        $run = new LiveRun(
            roster: $roster,
            tasks: Order::for($roster, $dropped),
            seed: $seed,
            flaws: $flaws,
            dropped: $dropped,
            without: $without,
            chooser: $chooser,
        );
        $site = $run->site() ?? throw new NoSolution('A rehearsal needs simulated devices.');
        $now = 0.0;
        $trail = [];
        for ($n = 0; $n < self::MOST_STEPS; $n++) {
            // The step is read when the hands are ready.
            $run->settle($now += self::reaction($site, $person, $n));
            $step = $run->next($now);
            if ($step->look === Look::End) {
                return new self(
                    run: $run,
                    seconds: $now,
                    steps: $n,
                    tried: Acceptance::all($site),
                    found: array_map(static fn($s): string => $s->key(), $run->progress()->found()),
                    aside: $run->progress()->marks->aside,
                    trail: $trail,
                );
            }
            $opens = $step->window[0] ?? 0.0;
            if ($opens > $now) {
                $now = $opens;

                continue;
            }
            $trail[] = [$now, $step];
            $now = (new PersonAtWork($run, $site, $person, $n))->answer($step, $now);
        }

        throw new NoSolution('The rehearsal does not end: see the log of a live run.');
    }

    /** Seconds from reading a step to doing it. */
    private static function reaction(SimulatedSite $site, Person $person, int $step): float
    {
        return $person->quickest < $person->slowest
            ? $site->dice->between($person->quickest, $person->slowest, "reacts {$step}")
            : $person->quickest;
    }
}
