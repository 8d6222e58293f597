<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Practice;

use EmberDusk\Joining\Event;
use EmberDusk\Joining\Flaw;
use EmberDusk\Joining\LiveRun;
use EmberDusk\Joining\Order\Order;
use EmberDusk\Joining\Roster;

/** One exercise on simulated devices: a kit, its required controls, its hidden faults, and the mistake that fails it. */
final readonly class Lesson
{
    /**
     * @param  int  $number  from 1, easy to hard
     * @param  string  $teaches  the one thing that is learnt
     * @param  string  $goal goal as text
     * @param  string  $mistake  what fails it, in words
     * @param  bool  $told  the guide shows each step; otherwise only the instructions are shown
     * @param  bool  $names  every line of the app has to bear its light's name
     * @param  list<Flaw>  $flaws hidden faults
     */
    public function __construct(
        public int $number,
        public string $key,
        public string $title,
        public string $teaches,
        public string $goal,
        public string $mistake,
        public bool $told,
        public bool $names,
        public int $seed,
        public Roster $roster,
        public array $flaws,
    ) {}

    /** @param  list<Event>  $log */
    public function run(array $log): LiveRun
    {
        return new LiveRun(
            roster: $this->roster,
            tasks: Order::for($this->roster),
            seed: $this->seed,
            log: $log,
            flaws: $this->flaws,
        );
    }
}
