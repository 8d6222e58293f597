<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Guide;

use EmberDusk\Joining\Act;
use EmberDusk\Joining\Belief\Chooser;
use EmberDusk\Joining\Belief\Evidence;
use EmberDusk\Joining\Belief\MostTold;
use EmberDusk\Joining\Belief\Suspect;
use EmberDusk\Joining\Event;
use EmberDusk\Joining\EventWords;
use EmberDusk\Joining\Hands;
use EmberDusk\Joining\JoinStep;
use EmberDusk\Joining\Look;
use EmberDusk\Joining\Observation;
use EmberDusk\Joining\OrderRule;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Task;

/**
 * How far a run has come, read from its log alone, and the one right next step. It knows the instructions, the log and the clock, never the
 * devices themselves.
 */
final class GuideProgress
{
    /** Preparing steps, which never prove a join. */
    private const BEFORE = ['reset', 'stand', 'rise', 'open', 'quiet', 'search', 'press', 'boot', 'look'];

    /** How often a step may come too late before its devices are suspected all the same. */
    private const MOST_LATE = 3;

    private readonly Queue $queue;

    /** @var list<Suspect> faults found and fixed */
    private array $found = [];

    /** @var array<string, list<Suspect>> faults fixed since a step failed, by its key: named once the step succeeds */
    private array $trying = [];

    public readonly Marks $marks;

    private readonly Prompt $prompt;

    public readonly LoggedState $field;

    public readonly Inquiry $inquiry;

    /**
     * @param  list<Task>  $tasks  in their order
     * @param  list<OrderRule>  $dropped
     */
    public function __construct(
        public readonly Roster $roster,
        private readonly array $tasks,
        private readonly GuideSteps $steps,
        private readonly array $dropped = [],
        Chooser $chooser = new MostTold(),
    ) {
        $this->field = new LoggedState($roster);
        $this->inquiry = new Inquiry($roster, $tasks, $chooser);
        $this->queue = new Queue($tasks, $steps, $dropped);
        $this->marks = new Marks();
        $this->prompt = new Prompt(
            queue: $this->queue,
            field: $this->field,
            inquiry: $this->inquiry,
            steps: $steps,
            marks: $this->marks,
            dropped: $dropped,
        );
    }

    public function next(float $now): JoinStep
    {
        return $this->prompt->next($now);
    }

    /** The step of that key, if it can be answered now, regardless of search and power. */
    public function asked(string $key): ?JoinStep
    {
        return $this->prompt->asked($key);
    }

    public function feed(Event $event): void
    {
        $this->field->feed($event);
        $this->gestured($event);
        match ($event->kind) {
            Event::DONE => $this->done($event),
            Event::SAW => $this->saw($event),
            Event::NAMED => $this->named($event),
            Event::MENDED => $this->mended($event),
            default => null,
        };
    }

    /** Keeps when the hands of the current step did something: windows begin then, not with the answer. */
    private function gestured(Event $event): void
    {
        $step = $this->queue->first();
        if ($step === null || !in_array($event->kind, Act::HANDS, true)) {
            return;
        }
        foreach ($step->acts as $act) {
            if ($act->device === $event->device && Hands::make($act, $event->kind, $this->roster)) {
                $this->marks->gestured[$step->key()] = $event->at;
            }
        }
    }

    private function done(Event $event): void
    {
        $step = $this->queue->first();
        if ($step === null || $event->step?->key() !== $step->key()) {
            return;
        }
        if ($step->look !== Look::Hand) {
            $this->marks->worked[$step->key()] = true;

            return;
        }
        $this->forward($step, $event->at);
    }

    private function forward(JoinStep $step, float $at): void
    {
        // Its list's line came automatically.
        // Without a gesture in the log the pattern that was seen tells when it was.
        $this->marks->answered[$step->key()] =
            $this->marks->gestured[$step->key()] ?? $at - ($step->expect?->seconds() ?? 0.0);
        unset($this->marks->gestured[$step->key()]);
        unset($this->marks->worked[$step->key()]);
        $task = $this->queue->task($step);
        $this->marks->heard($task);
        if (in_array($step->kind, ['reset', 'rise'], true) && $task->what === Task::JOIN) {
            $this->field->forget($task);
        }
        $this->queue->shift();
    }

    private function saw(Event $event): void
    {
        [$key, $seen] = [$event->step?->key() ?? '', $event->seen];
        if ($seen === null) {
            return;
        }
        $this->queue->past($key);
        $step = $this->queue->first();
        // A list that was waited for once more before the next line is tried.
        if (
            $step !== null &&
            $step->key() !== $key &&
            $event->step?->kind === 'listed' &&
            $step->look === Look::Lights
        ) {
            $this->fail($step, $seen, $event->at);

            return;
        }
        // The second of two patterns on one card proves the first.
        if ($step !== null && $seen === Observation::Expected && $this->prompt->then()?->key() === $key) {
            $this->seen($step, $seen, $event->at);
            $step = $this->queue->first();
        }
        if ($step === null || $key !== $step->key()) {
            return;
        }
        $task = $this->queue->task($step);
        if ($seen === Observation::Nothing && $this->tooLate($task, $step)) {
            return;
        }
        if ($seen === Observation::Expected || $step->kind === JoinStep::STILL) {
            $this->seen($step, $seen, $event->at);

            return;
        }
        $this->inquiry->add(Evidence::seen($task, $step, $seen));
        if ($step->look === Look::Lights && $seen === Observation::Elsewhere) {
            $this->field->tried($task);
            $this->marks->alert('That entry is another light. Try the next one.', $task);

            return;
        }
        if ($step->look === Look::Lights) {
            // A line that switches nothing may be gone: it counts again once the app lists it again.
            $this->field->drop($task);
        }
        $this->fail($step, $seen, $event->at);
    }

    /** A step went as it should. */
    private function seen(JoinStep $step, Observation $seen, float $at): void
    {
        $task = $this->queue->task($step);
        $key = $step->key();
        $this->inquiry->add(Evidence::seen($task, $step, $seen));
        if ($step->look === Look::Lights) {
            $this->field->own($task);
        }
        $this->marks->misses[$key] = 0;
        if (!in_array($step->kind, self::BEFORE, true)) {
            $this->marks->proven[$task->id()] = true;
        }
        $this->found = [...$this->found, ...$this->trying[$key] ?? []];
        unset($this->trying[$key]);
        $this->forward($step, $at);
    }

    /** Whether the hands came after the window: then nothing seen tells nothing of the devices, and it is simply done again. */
    private function tooLate(Task $task, JoinStep $step): bool
    {
        $late = $this->prompt->late($step);
        if ($late === null || ($this->marks->late[$step->key()] ?? 0) >= self::MOST_LATE) {
            return false;
        }
        $this->marks->late[$step->key()] = ($this->marks->late[$step->key()] ?? 0) + 1;
        unset($this->marks->worked[$step->key()], $this->marks->gestured[$step->key()]);
        $this->queue->rewind($task, $step);
        $this->marks->alert(
            sprintf(
                'That was %.0F s too late: it listens no longer. Read the next steps first, then do them without a pause.',
                ceil($late),
            ),
            $task,
        );

        return true;
    }

    private function fail(JoinStep $step, Observation $seen, float $at): void
    {
        $task = $this->queue->task($step);
        $joined = isset($this->marks->proven[$task->id()]);
        unset($this->marks->proven[$task->id()]);
        $this->marks->missed++;
        $times = $this->marks->misses[$step->key()] = ($this->marks->misses[$step->key()] ?? 0) + 1;
        if ($times === 1 && $joined && $step->look === Look::List) {
            // Its lamp has said that it joined: a reset would undo that.
            $this->marks->proven[$task->id()] = true;
            $this->marks->alert(
                'Scroll through the whole list, close the app and open it again: its lamp said that it has joined.',
                $task,
            );

            return;
        }
        $this->field->again($task);
        unset($this->marks->worked[$step->key()], $this->marks->gestured[$step->key()]);
        $this->queue->rewind($task, $step);
        if ($task->proves()) {
            $this->marks->alert(ucfirst($seen->words()) . '. Repeat it, and allow a little time.', $task);
            if ($times > 1) {
                $this->marks->heard($task);
                $this->marks->aside[$task->id()] = EventWords::task($task, $this->roster) . ': ' . $seen->words() . '.';
                $this->queue->drop(static fn(JoinStep $s): bool => $s->task === $task->id());
            }

            return;
        }
        if ($times === 1 && $seen !== Observation::Elsewhere && $step->look !== Look::Try) {
            $this->marks->alert(EventWords::missed($step, $seen), $task);
            $this->queue->behind($task);
            if ($this->queue->first()?->task !== $task->id()) {
                $this->marks->alert(EventWords::later($task, $this->roster, $seen));
            }

            return;
        }
        $this->marks->heard($task);
        if (!$this->inquiry->open($task, $step)) {
            $this->leave($task, $step);
        }
    }

    private function named(Event $event): void
    {
        $step = $this->queue->first();
        if ($step !== null && $step->look === Look::Name && $event->device === $step->device) {
            $this->forward($step, $event->at);
        }
    }

    private function mended(Event $event): void
    {
        $failing = $this->inquiry->failing();
        $suspect = $this->inquiry->answered("{$event->text}@{$event->device}", $event->wasSo === true);
        if ($failing === null || $suspect === null) {
            return;
        }
        [$task, $step] = $failing;
        if ($event->wasSo !== true) {
            if (!$this->inquiry->asks()) {
                $this->leave($task, $step);
            }

            return;
        }
        $this->trying[$step->key()][] = $suspect;
        $this->inquiry->close();
        $this->again($task, $step, $suspect);
        $this->marks->alert(ucfirst($suspect->says) . ': fixed. Repeat from here.');
    }

    /** Steps to repeat after a fault is fixed. */
    private function again(Task $task, JoinStep $step, Suspect $suspect): void
    {
        foreach ([$suspect->device, $task->device, ...$suspect->with] as $device) {
            $this->steps->doubt($device);
        }
        $whole = $suspect->again === Suspect::DEVICES || ($task->tries() && $suspect->again === Suspect::TASK);
        // After a missed window its result is unknown: repeat the entire task.
        if ($suspect->again === Suspect::STEP && !$task->tries() && $step->opened === '') {
            $this->queue->rewind($task, $step);
        } elseif (!$whole) {
            $this->queue->afresh($task);
        } else {
            $unit = $suspect->device === Roster::PHONE && $task->tries() ? $task->device : $suspect->device;
            $over = $this->queue->over($task, $unit, ...$suspect->with);
            $this->unproven($over);
            $this->queue->anew($over);
        }
        foreach ($this->queue->steps() as $one) {
            if ($one->task === $task->id()) {
                $this->marks->misses[$one->key()] = 0;
            }
        }
    }

    /**
     * Nothing that is listed explains it. Some answer before may have been wrong: all of it once more. After that it is postponed, and the run
     * goes on with what does not need it.
     */
    private function leave(Task $task, JoinStep $step): void
    {
        if (!isset($this->marks->afresh[$task->id()])) {
            $this->marks->afresh[$task->id()] = true;
            $this->inquiry->close();
            $over = $this->queue->over($task, $this->queue->begunAgain($task, $this->marks->proven));
            $this->unproven($over);
            $this->queue->anew($over);
            $this->marks->misses[$step->key()] = 0;
            $this->marks->alert(EventWords::unfitting($step));

            return;
        }
        $excluded = $this->inquiry->excluded();
        $this->inquiry->close();
        $this->marks->aside[$task->id()] = EventWords::unexplained($task, $this->roster, $excluded);
        $unit = $task->tries() || $task->what === Task::READ ? '' : $task->device;
        $this->queue->drop(
            fn(JoinStep $s): bool => $s->task === $task->id() ||
                ($unit !== '' && $this->queue->task($s)->concerns($unit)),
        );
    }

    /** @param  list<Task>  $tasks  that are done once more */
    private function unproven(array $tasks): void
    {
        foreach ($tasks as $task) {
            unset($this->marks->proven[$task->id()]);
        }
    }

    /** @return list<Suspect> */
    public function found(): array
    {
        return $this->found;
    }

    /** @return list<Task> tasks with nothing left to do */
    public function through(): array
    {
        $left = array_fill_keys(array_map(static fn(JoinStep $s): string => $s->task, $this->queue->steps()), true);

        return array_values(
            array_filter(
                $this->tasks,
                fn(Task $t): bool => !isset($left[$t->id()]) &&
                    !isset($this->marks->aside[$t->id()]) &&
                    (isset($this->marks->proven[$t->id()]) || $t->brings($this->roster) === []),
            ),
        );
    }

    /** @return list<JoinStep> */
    public function stepsOf(Task $task): array
    {
        return $this->steps->for($task, $this->dropped);
    }

    /** @return list<Task> */
    public function tasks(): array
    {
        return $this->tasks;
    }
}
