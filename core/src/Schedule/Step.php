<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

use EmberDusk\Rates\Work;
use EmberDusk\Values\Copies;

/** One step of the work: people, duration, tools, predecessors, and delay before the next. */
final readonly class Step
{
    use Copies;

    /**
     * @param  float  $units metres, joints, pieces for the table of times
     * @param  float  $table  minutes of work by the table of times
     * @param  float  $work  minutes as this crew does it, of each person
     * @param  int  $minutes  the same in fives, for the calendar
     * @param  array{int, int}  $range  minutes that it takes at best and at worst
     * @param  int  $people  that it takes immediately
     * @param  list<string>  $tools
     * @param  list<string>  $after  ids of the steps before it
     * @param  int  $wait  minutes that pass after it before another may follow: curing
     * @param  list<string>  $needs  shelf ids that must be here
     */
    public function __construct(
        public string $id,
        public Work $kind,
        public string $place,
        public string $title,
        public string $why,
        public float $units,
        public float $table,
        public float $work,
        public int $minutes,
        public array $range,
        public int $people,
        public array $tools,
        public string $caution,
        public array $after,
        public int $wait = 0,
        public array $needs = [],
    ) {}

    /** Whether it is done before the first day, from the office: it has no place among the days. */
    public function ahead(): bool
    {
        return $this->kind === Work::Ask;
    }

    /** @param  list<string>  $after  ids of the steps that it comes after instead */
    public function after(array $after): self
    {
        return $this->withChanged(after: array_values(array_unique($after)));
    }
}
