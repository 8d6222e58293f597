<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Guide;

use EmberDusk\Joining\JoinStep;
use EmberDusk\Joining\Task;

/** State of a run from its log: answer time of each step, finished hands, postponed tasks, and the note beside the next step. */
final class Marks
{
    /** @var array<string, float> when the gesture of a step was made, which was then answered, by key */
    public array $answered = [];

    /** @var array<string, float> when the hands of the current step last did something, by its key */
    public array $gestured = [];

    /** @var array<string, true> steps whose hands are through, by key */
    public array $worked = [];

    /** @var array<string, string> why a task was postponed, by its id */
    public array $aside = [];

    /** @var array<string, int> answers to nothing or to something else, by step key, since the step was last begun afresh */
    public array $misses = [];

    /** @var array<string, int> how often the hands of a step came after its window, by its key: that tells nothing of the devices */
    public array $late = [];

    /** All answers to nothing or to something else. */
    public int $missed = 0;

    /** @var array<string, true> tasks of which a step after the reset was seen to go as it should, by id */
    public array $proven = [];

    /** @var array<string, true> tasks that were begun afresh as a last resort, by id */
    public array $afresh = [];

    /** @var array<string, string> note beside the next step of a task, by its id; beside the next step of any, without one */
    private array $alerts = [];

    /** Puts a note beside the next step of a task, or beside the next step of all. */
    public function alert(string $says, ?Task $task = null): void
    {
        $this->alerts[$task?->id() ?? ''] = $says;
    }

    /** Note beside a step of the same task. Steps of other devices do not show it. */
    public function alertOf(JoinStep $step): string
    {
        return $this->alerts[$step->task] ?? ($this->alerts[''] ?? '');
    }

    /** Takes the notes of a task away: a step of it went on. */
    public function heard(Task $task): void
    {
        unset($this->alerts[$task->id()], $this->alerts['']);
    }
}
