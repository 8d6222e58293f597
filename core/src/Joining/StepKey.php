<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

/** Which step of which task: what a line of the log answers. */
final readonly class StepKey
{
    /**
     * @param  string  $task  id of the task
     * @param  string  $kind  which of its steps
     */
    public function __construct(public string $task, public string $kind) {}

    /** The step of a key as {@see JoinStep::key()} has it. */
    public static function read(string $key): self
    {
        [$task, $kind] = [...explode('/', $key, 2), ''];

        return new self($task, $kind);
    }

    public function key(): string
    {
        return "{$this->task}/{$this->kind}";
    }

    /** Kind of the task: {@see Task}. */
    public function what(): string
    {
        return $this->word(0);
    }

    public function device(): string
    {
        return $this->word(1);
    }

    /** The network or partner of the device; of a trial the light. */
    public function other(): string
    {
        return $this->word(2);
    }

    private function word(int $n): string
    {
        return explode(' ', $this->task)[$n] ?? '';
    }
}
