<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Values\Refusal;

/**
 * Next steps of an on-site run for each possible answer: sent ahead, so that the run continues without a connection. Deep for the expected answer,
 * shallow for others.
 */
final readonly class StepsAhead
{
    /** Number of steps sent ahead after the expected answer, and after others. */
    private const DEEP = 12;

    private const SHALLOW = 2;

    /** Seconds from one answer to the next: assumed; windows are moved to when the answer really came. */
    private const APART = 5.0;

    /** Keys of the likeliest answers. */
    private const LIKELY = ['expected', StepAnswer::NO, Event::FOUND, Event::NAMED];

    /** Stands for a name that is typed. */
    private const TYPED = 'the new line';

    /**
     * @param  float  $at  run seconds at which it is assumed that the step is reached
     * @param  array<string, self>  $next  by key of the answer
     */
    private function __construct(public JoinStep $step, public float $at, public array $next) {}

    /**
     * @param  list<Task>  $tasks
     * @param  list<Event>  $log
     */
    public static function for(Roster $roster, array $tasks, array $log, float $now): self
    {
        return self::node($roster, $tasks, $log, $now, self::DEEP);
    }

    /**
     * @param  list<Task>  $tasks
     * @param  list<Event>  $log
     */
    private static function node(Roster $roster, array $tasks, array $log, float $at, int $deep): self
    {
        $run = new LiveRun(roster: $roster, tasks: $tasks, seed: 0, log: $log, onSite: true);
        $step = $run->next($at);
        $next = [];
        if ($deep > 0) {
            foreach ($step->answers(onSite: true) as $answer) {
                $given = max($at, $step->window[0] ?? 0.0, $answer->key === 'nothing' ? $step->lookUntil ?? 0.0 : 0.0);
                $then = self::after(new LiveRun($roster, $tasks, 0, $log, true), $answer, $given);
                if ($then !== null) {
                    $likely = $step->look === Look::Hand || in_array($answer->key, self::LIKELY, true);
                    $left = $likely ? $deep - 1 : min($deep - 1, self::SHALLOW - 1);
                    $next[$answer->key] = self::node($roster, $tasks, $then, $given + self::APART, $left);
                }
            }
        }

        return new self($step, $at, $next);
    }

    /** @return list<Event>|null the log with that answer; null where it fits nothing */
    private static function after(LiveRun $run, StepAnswer $answer, float $at): ?array
    {
        try {
            // A wait is over by itself: only time goes on.
            if ($answer->kind === StepAnswer::WORK) {
                $run->work($answer->text, $at);
            } else {
                $run->act($answer->kind, $answer->device, $at, $answer->typed ? self::TYPED : $answer->text);
            }
        } catch (Refusal) {
            return null;
        }

        return $run->log();
    }
}
