<?php

declare(strict_types=1);

namespace EmberDusk\Build;

use DateTimeImmutable;
use EmberDusk\Workings\Trouble;

/**
 * Steps laid onto days of work for one or two people: of those that can begin the one that may begin least late first, each
 * on the day on which it fits and its parts are here. No work on Saturdays and Sundays; curing goes on at night.
 */
final readonly class Schedule
{
    /** Minutes of work in a day, and the hour at which it begins. */
    public const DAY = 480;

    public const BEGINS = 8;

    private const MOST_DAYS = 400;

    /**
     * @param  list<Slot>  $slots  in the order of their beginning
     */
    private function __construct(public array $slots, public CriticalPath $path)
    {
    }

    /**
     * @param  list<Step>  $steps
     * @param  string  $start  YYYY-MM-DD
     * @param  array<string, string>  $arrivals  day on which a part comes, by its shelf id
     *
     * @throws Trouble
     */
    public static function of(array $steps, int $people, string $start, array $arrivals = []): self
    {
        $path = CriticalPath::of($steps);
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
        $free = array_fill(0, $people, 0);
        $ends = [];
        $slots = [];
        $first = new DateTimeImmutable($start);
        while ($ready !== []) {
            $best = null;
            foreach ($ready as $step) {
                $begin = max([0, ...array_map(static fn (string $b): int => $ends[$b], $step->after), ...array_map(static fn (string $n): int => isset($arrivals[$n]) ? self::workDay($first, $arrivals[$n]) * self::DAY : 0, $step->needs)]);
                $crew = self::crew($free, min($step->people, $people));
                $at = self::fitting(max($begin, max([0, ...array_map(static fn (int $p): int => $free[$p], $crew)])), $step->minutes);
                $rank = [$at, $path->latest[$step->id], $step->id];
                if ($best === null || $rank < $best[0]) {
                    $best = [$rank, $step, $crew, $at];
                }
            }
            [, $step, $crew, $at] = $best;
            unset($ready[$step->id]);
            foreach ($next[$step->id] ?? [] as $follows) {
                if (--$open[$follows->id] === 0) {
                    $ready[$follows->id] = $follows;
                }
            }
            foreach ($crew as $person) {
                $free[$person] = $at + $step->minutes;
            }
            $ends[$step->id] = self::cured($first, $at + $step->minutes, $step->wait);
            $day = intdiv($at, self::DAY);
            $slots[] = new Slot($step, self::date($first, $day), $at - $day * self::DAY, $at - $day * self::DAY + $step->minutes, $crew, $path->critical($step->id));
        }

        return new self($slots, $path);
    }

    /** @return list<string> days with work, YYYY-MM-DD */
    public function days(): array
    {
        $days = array_values(array_unique(array_map(static fn (Slot $s): string => $s->day, $this->slots)));
        sort($days);

        return $days;
    }

    /**
     * Those who are free first.
     *
     * @param  array<int, int>  $free
     * @return list<int>
     */
    private static function crew(array $free, int $people): array
    {
        asort($free);

        return array_slice(array_keys($free), 0, max(1, $people));
    }

    /** The first minute from which a step is done on one day; one longer than a day begins with a day. */
    private static function fitting(int $from, int $minutes): int
    {
        $rest = self::DAY - $from % self::DAY;

        return $minutes <= $rest ? $from : (intdiv($from, self::DAY) + 1) * self::DAY;
    }

    /** Work minutes after which something has cured for so many minutes of the clock, nights and Sundays counted. */
    private static function cured(DateTimeImmutable $first, int $end, int $wait): int
    {
        if ($wait === 0) {
            return $end;
        }
        $day = intdiv(max(0, $end - 1), self::DAY);
        $done = (new DateTimeImmutable(self::date($first, $day)))->setTime(self::BEGINS, 0)->modify('+'.($end - $day * self::DAY + $wait).' minutes');
        for ($n = $day; $n < $day + self::MOST_DAYS; $n++) {
            $begins = (new DateTimeImmutable(self::date($first, $n)))->setTime(self::BEGINS, 0);
            $into = intdiv($done->getTimestamp() - $begins->getTimestamp(), 60);
            if ($into <= self::DAY) {
                return $n * self::DAY + max(0, $into);
            }
        }

        return $end;
    }

    /** The number of the first day of work on or after a day. */
    private static function workDay(DateTimeImmutable $first, string $day): int
    {
        for ($n = 0; $n < self::MOST_DAYS; $n++) {
            if (self::date($first, $n) >= $day) {
                return $n;
            }
        }
        throw Trouble::at('/arrives', "A part that comes on {$day} is too far off to plan for.");
    }

    private static function date(DateTimeImmutable $first, int $number): string
    {
        $day = $first;
        while ((int) $day->format('N') > 5) {
            $day = $day->modify('+1 day');
        }
        for ($n = 0; $n < $number; $n++) {
            do {
                $day = $day->modify('+1 day');
            } while ((int) $day->format('N') > 5);
        }

        return $day->format('Y-m-d');
    }
}
