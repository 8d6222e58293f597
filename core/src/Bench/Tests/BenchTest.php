<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Tests;

/** One test of the bench: command, action, expected result, meaning of a failure, caution. */
final readonly class BenchTest
{
    /**
     * @param  string  $id "loose-cove/dead": its step of the work and its key
     * @param  string  $of  the run or controller that it is about
     * @param  string  $asks tick, colours, order, count or read: the kind of answer
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
