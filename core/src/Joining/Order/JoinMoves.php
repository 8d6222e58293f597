<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Order;

use EmberDusk\Joining\LinkGroup;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Task;

/** Joins and links of a job as moves that can follow each other: which may come next, and what each costs. */
final readonly class JoinMoves
{
    /** Joins that are thought of as one batch at most: more orders of them than can be tried. */
    private const BATCH = 6;

    /**
     * @param  list<Task>  $tasks  joins and links
     * @param  array<int, list<int>>  $before  by number: the tasks that must be through first
     * @param  array<int, list<int>>  $groups  by number of a link: the links of its network, where no hub has made it
     */
    private function __construct(
        public array $tasks,
        private array $before,
        private array $groups,
        public Costs $costs,
    ) {}

    /** @param  list<Task>  $tasks */
    public static function for(array $tasks, Roster $roster): self
    {
        $before = [];
        $mesh = [];
        foreach ($tasks as $n => $task) {
            $before[$n] = [];
            foreach ($tasks as $m => $other) {
                // Links come after the joins of both, since a remote that links first forms its own network.
                $joins = $other->what === Task::JOIN && in_array($other->device, [$task->device, $task->other], true);
                if ($task->what === Task::LINK && $joins) {
                    $before[$n][] = $m;
                }
            }
            // Nodes of a mesh join from the phone outwards.
            if ($task->what === Task::JOIN && $task->search === Roster::PHONE) {
                $before[$n] = [...$before[$n], ...$mesh];
                $mesh[] = $n;
            }
        }

        return new self(
            $tasks,
            array_map(array_values(...), $before),
            self::groups($tasks, $roster),
            new Costs($roster),
        );
    }

    /** Nothing is through: one figure for each task, 1 once it is. */
    public function none(): string
    {
        return str_repeat('0', count($this->tasks));
    }

    /**
     * @param  list<int>  $numbers
     */
    public function with(string $done, array $numbers): string
    {
        foreach ($numbers as $n) {
            $done[$n] = '1';
        }

        return $done;
    }

    /** @return list<int> numbers of tasks that may come next */
    public function free(string $done): array
    {
        $free = [];
        foreach ($this->before as $n => $before) {
            $waits = array_filter($before, static fn(int $m): bool => $done[$m] === '0');
            if ($done[$n] === '0' && $waits === [] && $this->grows($n, $done)) {
                $free[] = $n;
            }
        }

        return $free;
    }

    /** Whether a link goes on with the network that its group has begun: two that are begun apart never become one. */
    private function grows(int $n, string $done): bool
    {
        $begun = false;
        foreach ($this->groups[$n] ?? [] as $m) {
            if ($done[$m] === '1') {
                $begun = true;
                if (
                    $this->tasks[$m]->device === $this->tasks[$n]->device ||
                    $this->tasks[$m]->other === $this->tasks[$n]->other
                ) {
                    return true;
                }
            }
        }

        return !$begun;
    }

    /**
     * Links that share a network without a hub, by the number of each: those of remotes that have lights in common.
     *
     * @param  list<Task>  $tasks
     * @return array<int, list<int>>
     */
    private static function groups(array $tasks, Roster $roster): array
    {
        $joins = array_fill_keys(
            array_map(
                static fn(Task $t): string => $t->device,
                array_filter($tasks, static fn(Task $t): bool => $t->what === Task::JOIN),
            ),
            true,
        );
        $groups = [];
        foreach ($tasks as $n => $task) {
            $links = $task->what === Task::LINK && LinkGroup::forms($roster->unit($task->device));
            if (!$links || isset($joins[$task->device])) {
                continue;
            }
            $lights = LinkGroup::lights($task->device, $roster);
            $groups[$n] = array_keys(
                array_filter(
                    $tasks,
                    static fn(Task $t): bool => $t->what === Task::LINK && in_array($t->other, $lights, true),
                ),
            );
        }

        return $groups;
    }

    /**
     * Every batch and every single move from a state, batches in every order.
     *
     * @param  array<string, true>  $powered
     * @return iterable<JoinMove>
     */
    public function from(string $done, string $place, array $powered): iterable
    {
        $free = $this->free($done);
        $shared = array_values(array_filter($free, fn(int $n): bool => $this->shares($n)));
        foreach ($free as $n) {
            if (!in_array($n, $shared, true)) {
                yield new JoinMove([$n], $this->costs->single($this->tasks[$n], $place, $powered));
            }
        }
        yield from $this->batches([], array_slice($shared, 0, self::BATCH), $place, $powered);
    }

    /** Whether it can share a hub's search with others; nodes of a mesh each wait for the one before. */
    public function shares(int $n): bool
    {
        return $this->tasks[$n]->search !== null && $this->tasks[$n]->search !== Roster::PHONE;
    }

    /**
     * @param  list<int>  $batch
     * @param  list<int>  $left
     * @param  array<string, true>  $powered
     * @return iterable<JoinMove>
     */
    private function batches(array $batch, array $left, string $place, array $powered): iterable
    {
        foreach ($left as $n) {
            $more = [...$batch, $n];
            if ($batch !== [] && $this->tasks[$n]->search !== $this->tasks[$batch[0]]->search) {
                continue;
            }
            $cost = $this->costs->batch(array_map(fn(int $m): Task => $this->tasks[$m], $more), $place, $powered);
            if ($cost === null) {
                continue;
            }
            yield new JoinMove($more, $cost);
            yield from $this->batches($more, array_values(array_diff($left, [$n])), $place, $powered);
        }
    }
}
