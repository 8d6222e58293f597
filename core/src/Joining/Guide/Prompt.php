<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Guide;

use EmberDusk\Joining\Act;
use EmberDusk\Joining\JoinStep;
use EmberDusk\Joining\Look;
use EmberDusk\Joining\OrderRule;
use EmberDusk\Joining\Task;

/** The current step: its preparation, its time window, and the list entry concerned. */
final readonly class Prompt
{
    /** @param  list<OrderRule>  $dropped */
    public function __construct(
        private Queue $queue,
        private LoggedState $field,
        private Inquiry $inquiry,
        private GuideSteps $steps,
        private Marks $marks,
        private array $dropped,
    ) {}

    /** The step of that key, if it can be answered now, regardless of search and power. */
    public function asked(string $key): ?JoinStep
    {
        if ($this->inquiry->asks()) {
            return null;
        }
        foreach ($this->queue->steps() as $step) {
            if ($step->key() === $key) {
                return $step;
            }
            if ($step->look !== Look::List) {
                break;
            }
        }
        $step = $this->queue->first();
        if (
            $step !== null &&
            in_array($step->look, [Look::Lights, Look::Name], true) &&
            $key === "{$step->task}/listed"
        ) {
            return $this->steps->list($this->queue->task($step), $this->dropped);
        }

        return null;
    }

    public function next(float $now): JoinStep
    {
        if ($this->inquiry->asks()) {
            $check = $this->inquiry->step();
            if ($check !== null) {
                return $check;
            }
        }
        $step = $this->queue->first();
        if ($step === null) {
            return $this->end();
        }
        $before = !isset($this->marks->worked[$step->key()])
            ? $this->field->before($step, $now, $this->marks->alertOf($step))
            : null;
        if ($before !== null) {
            return $before;
        }
        if (in_array($step->look, [Look::List, Look::Lights, Look::Name], true)) {
            return $this->listed($step, $now);
        }

        $then = $this->then();
        $gestured = $this->marks->gestured[$step->key()] ?? null;
        // One window for both patterns, from the gesture on.
        $window = $then !== null && $gestured !== null ? [$gestured, $gestured + $then->waits] : $this->window($step);

        return $step->now(
            window: $window,
            alert: $this->marks->alertOf($step),
            lookUntil: $this->lookUntil($step, $window),
            then: $then,
        );
    }

    /** Second pattern of the current card: it follows the first without another act. */
    public function then(): ?JoinStep
    {
        [$step, $next] = [$this->queue->first(), $this->queue->second()];
        $follows =
            $step !== null &&
            $next !== null &&
            $step->look === Look::Lamp &&
            $next->look === Look::Lamp &&
            $next->acts === [] &&
            $next->task === $step->task &&
            $next->opened === $step->kind;

        return $follows ? $next : null;
    }

    /**
     * Run second until which the sign of a lamp may still come; null where that is not known.
     *
     * @param  array{float, float}|null  $window
     */
    private function lookUntil(JoinStep $step, ?array $window): ?float
    {
        if ($step->look !== Look::Lamp) {
            return null;
        }
        if ($step->acts === []) {
            return $window[1] ?? null;
        }
        $gestured = $this->marks->gestured[$step->key()] ?? null;

        return $gestured === null ? null : $gestured + $step->waits;
    }

    /** Seconds by which the hands of a step came after its window; null if they were in time. */
    public function late(JoinStep $step): ?float
    {
        $window = $this->window($step);
        $done = $this->marks->gestured[$step->key()] ?? null;

        return $window !== null && $done !== null && $done > $window[1] ? $done - $window[1] : null;
    }

    /** A line of the app's list: waited for, switched, named. */
    private function listed(JoinStep $step, float $now): JoinStep
    {
        $task = $this->queue->task($step);
        $entry = $step->look === Look::Name ? $this->field->entryOf($task) : $this->field->candidate($task);
        if ($entry === null) {
            $wait = $this->steps->list($task, $this->dropped);
            if ($wait !== null) {
                return $wait->now([$now, $now + $wait->waits], $this->marks->alertOf($wait));
            }
        }
        if ($step->look === Look::List) {
            // It is there: on to the next step, which the log will answer.
            return $this->listed($this->queue->second() ?? $step, $now);
        }

        return $step->now(
            $this->window($step),
            $this->marks->alertOf($step),
            str_replace('ENTRY', (string) $entry, $step->title),
            array_map(
                static fn(Act $a): Act => new Act(
                    $a->kind,
                    $a->device,
                    str_replace('ENTRY', (string) $entry, $a->text),
                ),
                $step->acts,
            ),
        );
    }

    /** @return array{float, float}|null */
    private function window(JoinStep $step): ?array
    {
        $opened = $step->opened !== '' ? $this->marks->answered["{$step->task}/{$step->opened}"] ?? null : null;
        if ($opened !== null) {
            [$from, $until] = $step->opens ?? [0.0, $step->waits];

            return [$opened + $from, $opened + $until];
        }

        if ($step->search === null) {
            return null;
        }

        return $this->field->search($step->search);
    }

    private function end(): JoinStep
    {
        $aside = array_values($this->marks->aside);

        $why =
            $aside !== []
                ? implode(' ', $aside)
                : 'Continue with Scenes and Hand over: the sheet lists names, rooms and resets.';

        return new JoinStep(task: '', kind: 'end', look: Look::End, device: '', title: $this->measured(), why: $why);
    }

    /** Working controls out of all controls to test. */
    private function measured(): string
    {
        $tried = array_filter($this->queue->tasks(), static fn(Task $t): bool => $t->what === Task::ACCEPT);
        $work = array_filter($tried, fn(Task $t): bool => isset($this->marks->proven[$t->id()]));
        $all = count($tried);

        $does = count($work) === 1 ? 'works' : 'work';

        return match (true) {
            $all === 0 => 'Every step is done',
            count($work) === $all => $all === 1 ? 'The control works' : "All {$all} controls work",
            default => sprintf('%d of %d controls %s', count($work), $all, $does),
        };
    }
}
