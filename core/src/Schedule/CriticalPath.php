<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\Refusal;

/** The longest way through the steps, waits counted: how early each can begin, how late it may, in minutes from the start. */
final readonly class CriticalPath
{
    /**
     * @param  array<string, int>  $earliest  begin, by step
     * @param  array<string, int>  $latest  begin that delays nothing
     * @param  int  $length  minutes of the whole
     */
    private function __construct(public array $earliest, public array $latest, public int $length) {}

    /**
     * @param  list<Step>  $steps
     *
     * @throws Refusal when steps wait for each other in a circle, or for one that is not there
     */
    public static function from(array $steps): self
    {
        $byId = [];
        foreach ($steps as $step) {
            $byId[$step->id] = $step;
        }
        $order = self::order($byId);
        $earliest = [];
        foreach ($order as $id) {
            $earliest[$id] = max([
                0,
                ...array_map(
                    static fn(string $b): int => $earliest[$b] + $byId[$b]->minutes + $byId[$b]->wait,
                    $byId[$id]->after,
                ),
            ]);
        }
        $length = max([0, ...array_map(static fn(Step $s): int => $earliest[$s->id] + $s->minutes + $s->wait, $steps)]);
        $next = $latest = [];
        foreach ($steps as $step) {
            foreach ($step->after as $before) {
                $next[$before][] = $step->id;
            }
        }
        foreach (array_reverse($order) as $id) {
            $latest[$id] =
                min([$length, ...array_map(static fn(string $n): int => $latest[$n], $next[$id] ?? [])]) -
                $byId[$id]->minutes -
                $byId[$id]->wait;
        }

        return new self($earliest, $latest, $length);
    }

    /**
     * One longest way, from its first step to its last.
     *
     * @param  array<string, Step>  $steps by id, the input
     * @return list<Step>
     */
    public function way(array $steps): array
    {
        $ends = fn(Step $s): int => $this->earliest[$s->id] + $s->minutes + $s->wait;
        $way = [];
        $begins = $this->length;
        $from = $steps;
        while (($step = current(array_filter($from, static fn(Step $s): bool => $ends($s) === $begins))) !== false) {
            array_unshift($way, $step);
            $begins = $this->earliest[$step->id];
            $from = array_intersect_key($steps, array_fill_keys($step->after, true));
        }

        return $way;
    }

    public function critical(string $step): bool
    {
        return $this->earliest[$step] === $this->latest[$step];
    }

    /**
     * @param  array<string, Step>  $steps
     * @return list<string> ids, each after its predecessors
     */
    private static function order(array $steps): array
    {
        $order = [];
        $left = $steps;
        while ($left !== []) {
            $ready = array_filter(
                $left,
                static fn(Step $s): bool => array_intersect_key($left, array_fill_keys($s->after, true)) === [],
            );
            if ($ready === []) {
                throw InvalidInput::at(
                    '/waits',
                    'These steps wait for each other in a circle: ' .
                        implode(
                            ', then ',
                            array_map(static fn(Step $s): string => "“{$s->title}”", self::circle($left)),
                        ) .
                        '. Take one of the waits away.',
                );
            }
            foreach ($ready as $id => $step) {
                foreach ($step->after as $before) {
                    if (!isset($steps[$before])) {
                        throw InvalidInput::at(
                            '/steps',
                            "“{$step->title}” waits for a step that is not there, {$before}.",
                        );
                    }
                }
                $order[] = $id;
                unset($left[$id]);
            }
        }

        return $order;
    }

    /**
     * @param  non-empty-array<string, Step>  $left  steps that all wait for another of them
     * @return list<Step> in the order in which they would have to be done, the first again at the end
     */
    private static function circle(array $left): array
    {
        $way = [];
        $at = array_key_first($left);
        while (!in_array($at, $way, true)) {
            $way[] = $at;
            $at = (string) current(array_filter($left[$at]->after, static fn(string $b): bool => isset($left[$b])));
        }
        $circle = [...array_slice($way, (int) array_search($at, $way, true)), $at];

        return array_map(static fn(string $id): Step => $left[$id], array_reverse($circle));
    }
}
