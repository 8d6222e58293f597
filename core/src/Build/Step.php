<?php

declare(strict_types=1);

namespace EmberDusk\Build;

/** One step of the work: who, how long, with what, after which others, and what has to pass before the next. */
final readonly class Step
{
    /**
     * @param  int  $minutes  of work
     * @param  int  $people  that it takes at once
     * @param  list<string>  $tools
     * @param  list<string>  $after  ids of the steps before it
     * @param  int  $wait  minutes that pass after it before another may follow: curing
     * @param  list<string>  $needs  shelf ids that must be here
     */
    public function __construct(
        public string $id,
        public string $place,
        public string $title,
        public string $why,
        public int $minutes,
        public int $people,
        public array $tools,
        public string $caution,
        public array $after,
        public int $wait = 0,
        public array $needs = [],
    ) {
    }
}
