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

    /**
     * @param  float  $at  run seconds at which it is assumed that the step is reached
     * @param  array<string, self>  $next  by answer
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
            foreach (self::answers($step) as $n => [$answer, $kind, $text]) {
                $then = self::after(new LiveRun($roster, $tasks, 0, $log, true), $step, $kind, $text, $at);
                if ($then !== null) {
                    $left = $n === 0 ? $deep - 1 : min($deep - 1, self::SHALLOW - 1);
                    $next[$answer] = self::node($roster, $tasks, $then, $at + self::APART, $left);
                }
            }
        }

        return new self($step, $at, $next);
    }

    /** @return list<array{string, string, string}> key of the answer, kind and text of its event; the hoped for first */
    private static function answers(JoinStep $step): array
    {
        $work = ['work', 'work', $step->key()];
        $seen = array_map(
            static fn(string $s): array => ["saw {$s}", Event::SAW, "{$step->key()}|{$s}"],
            $step->look === JoinStep::LIST ? $step->picks() : [Observation::YES, ...$step->picks()],
        );

        return match ($step->look) {
            JoinStep::HAND => [$work],
            JoinStep::END => [],
            JoinStep::NAME => [['named', Event::NAMED, 'Name, Room']],
            JoinStep::MEND => [
                ['fixed no', Event::MENDED, "{$step->kind}|no"],
                ['fixed yes', Event::MENDED, "{$step->kind}|yes"],
            ],
            JoinStep::LIST => [['found', Event::FOUND, 'the new line'], ...$seen],
            JoinStep::TRY => $seen,
            default => $step->acts === [] ? $seen : [...$seen, $work],
        };
    }

    /** @return list<Event>|null the log with that answer; null where it fits nothing */
    private static function after(LiveRun $run, JoinStep $step, string $kind, string $text, float $at): ?array
    {
        try {
            if ($kind === 'work') {
                $run->work($text, $at);
            } else {
                $run->act($kind, $step->device, $at, $text);
            }
        } catch (Refusal) {
            return null;
        }

        return $run->log();
    }
}
