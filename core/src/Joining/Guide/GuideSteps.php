<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Guide;

use EmberDusk\Joining\Ability;
use EmberDusk\Joining\Act;
use EmberDusk\Joining\EventWords;
use EmberDusk\Joining\Families;
use EmberDusk\Joining\JoinStep;
use EmberDusk\Joining\Look;
use EmberDusk\Joining\OrderRule;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\StepBuilder;
use EmberDusk\Joining\Task;
use EmberDusk\Joining\TimingMethod;
use EmberDusk\Joining\Unit;

/** The steps of tasks, in the order in which hands do them: those of one batch share a search, and are identified after it. */
final class GuideSteps
{
    /** Every light is tried so: on, off, and dimmed low and high. */
    public const LEVELS = [1.0, 0.0, 0.1, 0.8];

    /** Order within a batch if windows open before the search: per step kind, and steps done once for all. */
    private const TOGETHER = ['reset', 'stand', 'rise', 'search', 'joined'];

    private const ONCE = ['stand', 'search'];

    /** Seconds of a window in which a second card could not be read and followed (common practice, no source). */
    private const AT_ONCE = 20.0;

    public function __construct(private Roster $roster) {}

    /** A device has misbehaved: it is reset from now on, new or not. */
    public function doubt(string $device): void
    {
        $this->roster = $this->roster->doubting($device);
    }

    /**
     * @param  list<Task>  $tasks  in their order
     * @param  list<OrderRule>  $dropped
     * @return list<JoinStep>
     */
    public function all(array $tasks, array $dropped = []): array
    {
        $steps = [];
        for ($n = 0; $n < count($tasks); $n++) {
            $batch = [$tasks[$n]];
            while ($tasks[$n]->batch !== '' && ($tasks[$n + 1] ?? null)?->batch === $tasks[$n]->batch) {
                $batch[] = $tasks[++$n];
            }
            $steps = [...$steps, ...$this->batch($batch, $dropped)];
        }

        return $steps;
    }

    /**
     * @param  list<Task>  $tasks
     * @param  list<OrderRule>  $dropped
     * @return list<JoinStep>
     */
    private function batch(array $tasks, array $dropped): array
    {
        $together = $this->roster->school->timing !== TimingMethod::SEARCH_FIRST;
        $fast = $slow = [];
        foreach ($tasks as $task) {
            $listed = false;
            foreach ($this->for($task, $dropped) as $step) {
                $listed = $listed || $step->look === Look::List;
                $at = array_search($step->kind, self::TOGETHER, true);
                if ($listed) {
                    $slow[] = $step;
                } elseif (!$together) {
                    $fast[0][] = $step;
                } elseif ($at === false || !in_array($step->kind, self::ONCE, true) || !isset($fast[$at])) {
                    $fast[$at === false ? count(self::TOGETHER) : $at][] = $step;
                }
            }
        }
        ksort($fast);

        return [...array_merge(...array_values($fast)), ...$slow];
    }

    /**
     * @param  list<OrderRule>  $dropped
     * @return list<JoinStep>
     */
    public function for(Task $task, array $dropped = []): array
    {
        foreach ($task->what === Task::STORE ? $this->roster->presets : [] as $preset) {
            if ($preset->task()->id() === $task->id()) {
                return (new PresetSteps($preset, $this->roster))->all();
            }
        }

        if ($task->proves()) {
            return Proofs::steps($task, $this->roster);
        }

        if ($task->what === Task::ACCEPT) {
            return [$this->accept($task)];
        }

        return self::together(Families::get($task->family)->steps($task, $this->roster, $dropped));
    }

    /**
     * Merged steps, where the second must follow the first within seconds: too short a time to read a second card.
     *
     * @param  list<JoinStep>  $steps
     * @return list<JoinStep>
     */
    private static function together(array $steps): array
    {
        $all = [];
        foreach ($steps as $step) {
            $last = $all[count($all) - 1] ?? null;
            if (
                $last !== null &&
                $last->look === Look::Hand &&
                $step->opened === $last->kind &&
                $step->acts !== [] &&
                ($step->opens ?? [0.0, $step->waits])[0] <= 0.0 &&
                ($step->opens ?? [0.0, $step->waits])[1] <= self::AT_ONCE
            ) {
                array_pop($all);
                $step = $last->followedBy($step);
            }
            $all[] = $step;
        }

        return $all;
    }

    /**
     * The step of a task that waits for a line of a list.
     *
     * @param  list<OrderRule>  $dropped
     */
    public function list(Task $task, array $dropped = []): ?JoinStep
    {
        foreach ($this->for($task, $dropped) as $step) {
            if ($step->look === Look::List) {
                return $step;
            }
        }

        return null;
    }

    private function accept(Task $task): JoinStep
    {
        $control = $this->roster->unit($task->device);
        $light = $this->roster->unit($task->other);
        $by = $control->called() . EventWords::zone($task->zone);

        return new JoinStep(
            task: $task->id(),
            kind: 'accept',
            look: Look::Try,
            device: $light->id,
            title: "Control {$light->called()} by {$by}: on, off, 10 %, 80 %" . $this->alsoTried($control, $light),
            why: 'Joined means that this light responds, and no other.',
            at: $light->id,
            where: 'at ' . $light->called(),
            acts: array_map(
                static fn(float $level): Act => new Act(Act::TRY, $control->id, "{$light->id} {$task->zone} {$level}"),
                self::LEVELS,
            ),
            watches: $light->id,
            expects: 'it works, and no other light responds',
            on: array_values(
                array_map(
                    static fn(Unit $u): string => $u->id,
                    array_filter([$light, $control], StepBuilder::switched(...)),
                ),
            ),
        );
    }

    /** Whites and colours that a control can set of a light, in words behind the levels. */
    private function alsoTried(Unit $control, Unit $light): string
    {
        $able = $this->roster->abilities($control->id, $light->id);

        return (in_array(Ability::White, $able, true) ? ', warm and cold white' : '') .
            (in_array(Ability::Colour, $able, true) ? ', each colour' : '');
    }
}
