<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

use EmberDusk\Values\Refusal;

/**
 * Steps scheduled on the working days: among the startable ones the one with the least slack first, each as soon as its people are free, its parts
 * are here and it fits into the day. People stay at a place while it has work for them, unless the last day would then be later. A moved step
 * reserves its people at its time. Curing continues at night.
 *
 * Times are minutes of work from the first day's begin, DAY of them a day.
 */
final class Timetable
{
    /** Minutes of work in a day, and the hour at which it begins. */
    public const DAY = 480;

    public const BEGINS = 8;

    /** Lets steps go first that something which was moved waits for. */
    private const URGENT = 10_000_000;

    /** @var list<Slot> in the order of their beginning */
    public array $slots = [];

    /** @var array<string, int> when each step is done and cured */
    public array $ends = [];

    /** @var array<string, int> when each step begins */
    public array $begins = [];

    /** @var array<int, int> from when each person is free */
    private array $free = [0, 0];

    /** @var array<int, string> place of the last step of each person */
    private array $stands = ['', ''];

    /** @var array<string, ReservedTime> by step */
    private array $kept = [];

    /** @var array<string, int> by step, least first */
    private array $rank;

    private function __construct(
        public readonly CriticalPath $path,
        public readonly Days $days,
        private readonly bool $stay,
    ) {
        $this->rank = $path->latest;
    }

    /**
     * @param  list<Step>  $steps
     * @param  array<string, Pin>  $pins  by step
     * @param  array<string, int>  $here  from when a part is here, by its shelf id
     * @param  array<string, int>  $held  before when a step cannot begin, as something cures that is done
     *
     * @throws Refusal
     */
    public static function for(array $steps, Days $days, array $pins = [], array $here = [], array $held = []): self
    {
        $path = CriticalPath::from($steps);
        $stays = (new self($path, $days, stay: true))->filled($steps, $pins, $here, $held);
        if (count(array_unique(array_column($steps, 'place'))) < 2) {
            return $stays;
        }
        $moves = (new self($path, $days, stay: false))->filled($steps, $pins, $here, $held);

        return $stays->lastDay() <= $moves->lastDay() ? $stays : $moves;
    }

    /**
     * @param  list<Step>  $steps
     * @param  array<string, Pin>  $pins
     * @param  array<string, int>  $here
     * @param  array<string, int>  $held
     */
    private function filled(array $steps, array $pins, array $here, array $held): self
    {
        $byId = array_combine(array_map(static fn(Step $s): string => $s->id, $steps), $steps);
        foreach (array_intersect_key($pins, $byId) as $id => $pin) {
            $this->keep($byId[$id], $pin, $byId);
        }
        $next = $open = $ready = [];
        foreach ($steps as $step) {
            $open[$step->id] = count($step->after);
            foreach ($step->after as $before) {
                $next[$before][] = $step;
            }
            if ($step->after === []) {
                $ready[$step->id] = $step;
            }
        }
        while ($ready !== []) {
            $best = null;
            foreach ($ready as $step) {
                $from = max([
                    $held[$step->id] ?? 0,
                    ...array_map(fn(string $b): int => $this->ends[$b], $step->after),
                    ...array_values(array_intersect_key($here, array_fill_keys($step->needs, true))),
                ]);
                [$at, $crew] = $this->place($step, $from);
                $rank = [$at, $this->walk($step, $crew), $this->rank[$step->id], $step->id];
                if ($best === null || $rank < $best[0]) {
                    $best = [$rank, $step, $crew, $at];
                }
            }
            [, $step, $crew, $at] = $best;
            unset($ready[$step->id]);
            $this->lay($step, $at, $crew);
            foreach ($next[$step->id] ?? [] as $follows) {
                if (--$open[$follows->id] === 0) {
                    $ready[$follows->id] = $follows;
                }
            }
        }
        usort(
            $this->slots,
            static fn(Slot $a, Slot $b): int => [$a->day, $a->from, $a->people] <=> [$b->day, $b->from, $b->people],
        );

        return $this;
    }

    /** @return list<string> days with work, YYYY-MM-DD */
    public function worked(): array
    {
        return array_values(array_unique(array_map(static fn(Slot $s): string => $s->day, $this->slots)));
    }

    private function lastDay(): int
    {
        return intdiv(max(0, $this->end() - 1), self::DAY);
    }

    /**
     * People who would have to go to another place for a step; none for one that something moved waits for.
     *
     * @param  list<int>  $crew
     */
    private function walk(Step $step, array $crew): int
    {
        if (!$this->stay || $step->place === '' || $this->rank[$step->id] < self::URGENT / -2) {
            return 0;
        }

        return count(array_filter($crew, fn(int $p): bool => !in_array($this->stands[$p], ['', $step->place], true)));
    }

    /** Minutes of work until everything is done and cured. */
    public function end(): int
    {
        return max([0, ...array_values($this->ends)]);
    }

    /** @param  array<string, Step>  $byId */
    private function keep(Step $step, Pin $pin, array $byId): void
    {
        $day = $this->days->on($pin->day);
        $from = $day * self::DAY + ($this->days->date($day) === $pin->day ? $pin->from : 0);
        $people = $this->days->people($day);
        $before = [];
        $open = $step->after;
        while ($open !== []) {
            $id = array_pop($open);
            if (!isset($before[$id])) {
                $open = [...$open, ...$byId[$id]->after];
            }
            $before[$id] = true;
        }
        foreach (array_keys($before + [$step->id => true]) as $id) {
            $this->rank[$id] = min($this->rank[$id], $this->path->latest[$id] - self::URGENT);
        }
        $this->kept[$step->id] = new ReservedTime(
            $from,
            $from + $step->minutes,
            $step->people >= $people ? range(0, $people - 1) : [min($pin->person, $people - 1)],
            $before,
        );
    }

    /**
     * The soonest that a step can be begun, and by whom: by as many as it takes, or fewer where no more are ever there.
     *
     * @return array{int, non-empty-list<int>}
     */
    private function place(Step $step, int $from): array
    {
        if (isset($this->kept[$step->id])) {
            [$kept, $crew] = [$this->kept[$step->id]->from, $this->kept[$step->id]->people];
            $at = $from <= $kept ? $this->free($kept, $step, $crew) : null;
            if ($at !== null) {
                return [$at, $crew];
            }
        }
        $both = $step->people > 1 ? $this->free($from, $step, [0, 1]) : null;
        if ($both !== null) {
            return [$both, [0, 1]];
        }
        // Someone is there on every day of work.
        $first = (int) $this->free($from, $step, [0]);
        $second = $this->free($from, $step, [1]);
        if ($second !== null && ($second < $first || ($second === $first && $this->free[1] < $this->free[0]))) {
            return [$second, [1]];
        }

        return [$first, [0]];
    }

    /**
     * The first minute from which all of a crew are there and free for a step on one day; one longer than a day begins with a day.
     * Null when they are never there again.
     *
     * @param  non-empty-list<int>  $crew
     */
    private function free(int $from, Step $step, array $crew): ?int
    {
        $at = max([$from, ...array_map(fn(int $p): int => $this->free[$p], $crew)]);
        do {
            $asked = $at;
            $day = intdiv($at, self::DAY);
            if ($this->days->most($day) <= max($crew)) {
                return null;
            }
            if (
                $this->days->people($day) <= max($crew) ||
                min($step->minutes, self::DAY) > ($day + 1) * self::DAY - $at
            ) {
                $at = ($day + 1) * self::DAY;

                continue;
            }
            foreach ($this->kept as $id => $kept) {
                if (
                    $id !== $step->id &&
                    !isset($this->ends[$id]) &&
                    !isset($kept->before[$step->id]) &&
                    $at < $kept->to &&
                    $at + $step->minutes > $kept->from &&
                    array_intersect($crew, $kept->people) !== []
                ) {
                    $at = $kept->to;
                }
            }
        } while ($at !== $asked);

        return $at;
    }

    /** @param  list<int>  $crew */
    private function lay(Step $step, int $at, array $crew): void
    {
        foreach ($crew as $person) {
            $this->free[$person] = $at + $step->minutes;
            $this->stands[$person] = $step->place === '' ? $this->stands[$person] : $step->place;
        }
        $this->begins[$step->id] = $at;
        $this->ends[$step->id] = $this->days->cured($at + $step->minutes, $step->wait);
        for ($left = $step->minutes; $left > 0; $left -= $today) {
            $day = intdiv($at, self::DAY);
            $from = $at - $day * self::DAY;
            $today = min($left, self::DAY - $from);
            $there = array_values(array_filter($crew, fn(int $p): bool => $p < $this->days->people($day)));
            $people = $there !== [] ? $there : [0];
            $this->slots[] = new Slot(
                step: $step,
                day: $this->days->date($day),
                from: $from,
                to: $from + $today,
                people: $people,
                critical: $this->path->critical($step->id),
                last: $left === $today,
                short: count($there) < $step->people,
            );
            $at = ($day + 1) * self::DAY;
        }
    }
}
