<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Guide;

use EmberDusk\Joining\JoinStep;
use EmberDusk\Joining\Look;
use EmberDusk\Joining\OrderRule;
use EmberDusk\Joining\Task;

/** The steps that are left of a run, in order: begun again, put behind others, taken out. */
final class Queue
{
    /** @var list<JoinStep> */
    private array $steps;

    /**
     * @param  list<Task>  $tasks  in their order
     * @param  list<OrderRule>  $dropped
     */
    public function __construct(
        private readonly array $tasks,
        private readonly GuideSteps $makes,
        private readonly array $dropped,
    ) {
        $this->steps = $makes->all($tasks, $dropped);
    }

    /** @return list<JoinStep> */
    public function steps(): array
    {
        return $this->steps;
    }

    /** @return list<Task> */
    public function tasks(): array
    {
        return $this->tasks;
    }

    public function first(): ?JoinStep
    {
        return $this->steps[0] ?? null;
    }

    public function second(): ?JoinStep
    {
        return $this->steps[1] ?? null;
    }

    public function shift(): void
    {
        array_shift($this->steps);
    }

    public function task(JoinStep $step): Task
    {
        foreach ($this->tasks as $task) {
            if ($task->id() === $step->task) {
                return $task;
            }
        }

        return new Task('', Task::ACCEPT, $step->device);
    }

    /** The entire task from its first step. */
    public function afresh(Task $task): void
    {
        $this->put($task, $this->makes->for($task, $this->dropped));
    }

    /**
     * Takes steps out. Hands that all trials of a kind share, such as taking the power of the hub away and giving it back, stay until the
     * last of those trials, and always to undo their beginning.
     *
     * @param  callable(JoinStep): bool  $which
     */
    public function drop(callable $which): void
    {
        $shared = fn(JoinStep $s): bool => $s->look === Look::Hand && $this->task($s)->sharesHands();
        $this->steps = array_values(
            array_filter($this->steps, static fn(JoinStep $s): bool => $shared($s) || !$which($s)),
        );
        $tried = $begins = [];
        foreach ($this->steps as $step) {
            $what = $this->task($step)->what;
            $tried[$what] = ($tried[$what] ?? false) || $step->look === Look::Try;
            $begins[$what] = ($begins[$what] ?? false) || in_array($step->kind, Proofs::BEGIN, true);
        }
        $this->steps = array_values(
            array_filter(
                $this->steps,
                fn(JoinStep $s): bool => !$shared($s) ||
                    $tried[$this->task($s)->what] ||
                    !$begins[$this->task($s)->what],
            ),
        );
    }

    /** Continues past a list step, so that the next one can be answered. */
    public function past(string $key): void
    {
        while ($this->steps !== [] && $this->steps[0]->look === Look::List && $this->steps[0]->key() !== $key) {
            array_shift($this->steps);
        }
    }

    /** The steps of a task again from the one that a miss goes back to. */
    public function rewind(Task $task, JoinStep $step): void
    {
        $steps = $this->makes->for($task, $this->dropped);
        $from = $step->retry === '' ? $step->kind : $step->retry;
        $at = 0;
        foreach ($steps as $n => $one) {
            if ($one->kind === $from) {
                $at = $n;
            }
        }
        $this->put($task, array_slice($steps, $at));
    }

    /** @param  list<JoinStep>  $steps */
    private function put(Task $task, array $steps): void
    {
        $rest = array_values(array_filter($this->steps, static fn(JoinStep $s): bool => $s->task !== $task->id()));
        $this->steps = [...$steps, ...$rest];
    }

    /** The search goes on with the next device of the batch; this one comes after them. */
    public function behind(Task $task): void
    {
        $mates = array_map(
            static fn(Task $t): string => $t->id(),
            array_filter(
                $this->tasks,
                static fn(Task $t): bool => $t->batch !== '' && $t->batch === $task->batch && $t->id() !== $task->id(),
            ),
        );
        $last = -1;
        foreach ($this->steps as $n => $step) {
            if (in_array($step->task, $mates, true)) {
                $last = $n;
            }
        }
        if ($last < 0) {
            return;
        }
        $own = array_filter($this->steps, static fn(JoinStep $s): bool => $s->task === $task->id());
        $before = array_filter(
            array_slice($this->steps, 0, $last + 1),
            static fn(JoinStep $s): bool => $s->task !== $task->id(),
        );
        $after = array_filter(
            array_slice($this->steps, $last + 1),
            static fn(JoinStep $s): bool => $s->task !== $task->id(),
        );
        $this->steps = [...array_values($before), ...array_values($own), ...array_values($after)];
    }

    /**
     * Tasks from their first step, each after its requirements.
     *
     * @param  list<Task>  $over
     */
    public function anew(array $over): void
    {
        $left = [];
        foreach ($this->steps as $step) {
            $left[$step->task][] = $step;
        }
        $this->steps = [];
        foreach ($this->tasks as $task) {
            $new = in_array($task, $over, true) ? $this->makes->for($task, $this->dropped) : $left[$task->id()] ?? [];
            $this->steps = [...$this->steps, ...$new];
        }
    }

    /**
     * Tasks that are begun again because a device is: its own, what reads names of it, and every trial of its lights.
     *
     * @return list<Task> in their order
     */
    public function over(Task $failing, string ...$units): array
    {
        $over = [];
        $joined = [];
        foreach ($this->tasks as $task) {
            $concerns = array_filter($units, static fn(string $u): bool => $task->concerns($u)) !== [];
            if ($task->id() === $failing->id() || (!$task->tries() && $concerns)) {
                $over[$task->id()] = true;
                if ($task->what === Task::JOIN) {
                    $joined[] = $task->device;
                }
            }
        }
        foreach ($this->tasks as $task) {
            // A device joined again has lost its links; names are read and lights tested again.
            $lost = $task->what === Task::LINK && array_intersect([$task->device, $task->other], $joined) !== [];
            $reads =
                $task->what === Task::READ &&
                in_array($task->other, array_map(fn(string $d): string => $this->hubOf($d), $joined), true);
            $tries = $task->tries() && array_intersect([$task->device, $task->other], [...$joined, ...$units]) !== [];
            if ($lost || $reads || $tries) {
                $over[$task->id()] = true;
            }
        }

        return array_values(array_filter($this->tasks, static fn(Task $t): bool => isset($over[$t->id()])));
    }

    /**
     * The device of a failed task that is begun again: of a trial the control, where the light has joined and answered to something else.
     *
     * @param  array<string, true>  $proven  tasks that went as they should, by id
     */
    public function begunAgain(Task $task, array $proven): string
    {
        if (!$task->tries()) {
            return $task->device;
        }
        $answers = array_filter(
            $this->tasks,
            static fn(Task $t): bool => $t->what === Task::JOIN &&
                $t->device === $task->other &&
                $t->other !== $task->device &&
                isset($proven[$t->id()]),
        );

        return $answers === [] ? $task->other : $task->device;
    }

    private function hubOf(string $device): string
    {
        foreach ($this->tasks as $task) {
            if ($task->what === Task::JOIN && $task->device === $device) {
                return $task->other;
            }
        }

        return '';
    }
}
