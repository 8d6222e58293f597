<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Tests;

/** One test of the bench: what commands it, what to do, what should be seen or read, what it means if not, what to take care of. */
final readonly class BenchTest
{
    /**
     * @param  string  $id  "loose-cove/dead": the step of the work that it belongs to, and what it is
     * @param  string  $of  the run or controller that it is about
     * @param  string  $asks  tick, colours, order, count or read: what the screen asks for
     * @param  string  $by  what commands it
     */
    public function __construct(
        public string $id,
        public string $step,
        public string $of,
        public string $title,
        public string $asks,
        public string $by,
        public string $do,
        public string $see,
        public string $otherwise,
        public string $caution,
    ) {}
}
