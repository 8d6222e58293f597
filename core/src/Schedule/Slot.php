<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

/** A step in the calendar: which day of work, from which minute of it to which, by whom. One longer than a day has several. */
final readonly class Slot
{
    /**
     * @param  string  $day  YYYY-MM-DD
     * @param  int  $from  minutes after the day's begin
     * @param  list<int>  $people  numbers from 0
     * @param  bool  $critical  whether it is on the longest way
     * @param  bool  $last  whether the step ends in it
     * @param  bool  $short  whether fewer are there than it takes
     */
    public function __construct(
        public Step $step,
        public string $day,
        public int $from,
        public int $to,
        public array $people,
        public bool $critical,
        public bool $last = true,
        public bool $short = false,
    ) {}
}
