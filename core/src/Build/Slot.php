<?php

declare(strict_types=1);

namespace EmberDusk\Build;

/** A step in the calendar: which day of work, from which minute of it to which, by whom. */
final readonly class Slot
{
    /**
     * @param  string  $day  YYYY-MM-DD
     * @param  int  $from  minutes after the day's begin
     * @param  list<int>  $people  numbers from 0
     */
    public function __construct(public Step $step, public string $day, public int $from, public int $to, public array $people, public bool $critical)
    {
    }
}
