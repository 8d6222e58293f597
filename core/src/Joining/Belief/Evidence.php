<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Belief;

use EmberDusk\Joining\JoinStep;
use EmberDusk\Joining\Observation;
use EmberDusk\Joining\Task;

/** One answer of a run: an observation at a step, or the result of checking a cause. */
final readonly class Evidence
{
    /**
     * @param  string  $mended  key of the suspect that was checked; empty for the answer to a step
     * @param  bool  $wasSo  it was so, and has been fixed
     */
    private function __construct(
        public ?Task $task,
        public ?JoinStep $step,
        public ?Observation $seen,
        public string $mended,
        public bool $wasSo,
    ) {}

    public static function seen(Task $task, JoinStep $step, Observation $seen): self
    {
        return new self($task, $step, $seen, '', false);
    }

    public static function checked(string $suspect, bool $wasSo): self
    {
        return new self(null, null, null, $suspect, $wasSo);
    }
}
