<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Order;

use EmberDusk\Joining\Families;
use EmberDusk\Joining\Guide\Proofs;
use EmberDusk\Joining\OrderRule;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Task;
use EmberDusk\Joining\Unit;

/** The tasks of a job in an order that works: set-ups, joins in batches, remotes, links, names that are read, and every control tried at the end. */
final readonly class Order
{
    private const PHASES = [Task::SETUP => 0, Task::JOIN => 1, Task::LINK => 2, Task::READ => 3, Task::ACCEPT => 4];

    /** Devices up to which all orders are looked through. */
    private const EXACT = 7;

    private function __construct(private Roster $roster) {}

    /**
     * @param  list<OrderRule>  $dropped
     * @return list<Task>
     */
    public static function for(Roster $roster, array $dropped = []): array
    {
        return (new self($roster))->planned($dropped);
    }

    /**
     * @param  list<OrderRule>  $dropped
     * @return list<Task>
     */
    private function planned(array $dropped = []): array
    {
        $tasks = [];
        foreach (Families::all() as $family) {
            $tasks = [...$tasks, ...$family->tasks($this->roster)];
        }
        $rank = fn(Task $t): float => match (true) {
            $t->what === Task::READ && in_array(OrderRule::NamesBeforeRead, $dropped, true) => 0.5,
            // A remote's own join follows its links if there is no hub.
            $t->what === Task::JOIN &&
                !$this->roster->unit($t->device)->lights() &&
                in_array(OrderRule::HubBeforeLink, $dropped, true)
                => 2.5,
            default => (float) self::PHASES[$t->what],
        };
        usort($tasks, static fn(Task $a, Task $b): int => $rank($a) <=> $rank($b));
        if ($dropped === []) {
            $tasks = $this->cheapest($tasks);
        }
        foreach ($this->roster->wants as $want) {
            $tasks[] = new Task('', Task::ACCEPT, $want->control, $want->light, $want->zone);
        }

        foreach ($this->roster->school->proves ? $this->roster->presets : [] as $preset) {
            $tasks[] = $preset->task();
        }

        return [...$tasks, ...Proofs::tasks($this->roster)];
    }

    /** Seconds of joins and links in their order, as one person needs them. */
    public static function seconds(Roster $roster): int
    {
        return (new self($roster))->duration();
    }

    private function duration(): int
    {
        return $this->best(self::moving($this->planned()))[0];
    }

    /**
     * @param  list<Task>  $tasks  set-ups, joins, links, names that are read
     * @return list<Task>
     */
    private function cheapest(array $tasks): array
    {
        $moving = self::moving($tasks);
        $ordered = [];
        foreach ($this->best($moving)[1] as $n => $numbers) {
            foreach ($numbers as $number) {
                $ordered[] = count($numbers) > 1 ? $moving[$number]->in('b' . ($n + 1)) : $moving[$number];
            }
        }
        $of = static fn(string ...$what): array => array_values(
            array_filter($tasks, static fn(Task $t): bool => in_array($t->what, $what, true)),
        );

        return [...$of(Task::SETUP), ...$ordered, ...$of(Task::READ)];
    }

    /**
     * @param  list<Task>  $tasks
     * @return list<Task> joins and links
     */
    private static function moving(array $tasks): array
    {
        return array_values(
            array_map(
                static fn(Task $t): Task => $t->in(''),
                array_filter($tasks, static fn(Task $t): bool => in_array($t->what, [Task::JOIN, Task::LINK], true)),
            ),
        );
    }

    /**
     * @param  list<Task>  $moving
     * @return array{int, list<list<int>>} seconds and moves
     */
    private function best(array $moving): array
    {
        $moves = JoinMoves::for($moving, $this->roster);

        $devices = count(array_filter($this->roster->units, static fn(Unit $u): bool => $u->role !== Unit::PHONE));

        return ($devices <= self::EXACT ? Exact::for($moves) : null) ?? (new Nearest($moves))->for();
    }
}
