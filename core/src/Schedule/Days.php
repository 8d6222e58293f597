<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

use DateTimeImmutable;
use EmberDusk\Values\InvalidInput;

/** The days of work of a job, numbered from 0: those of its visits, then as many more as it takes. */
final class Days
{
    /** Days of the calendar that are looked through from today, or from the last visit's first day. */
    private const MOST = 2000;

    /** @var list<array{day: string, people: int, visit: int|null}> */
    private array $days = [];

    /** @var array<int, int> days of each visit that have gone by */
    private array $used = [];

    private string $next;

    private readonly string $last;

    /** @param  non-empty-list<Visit>  $visits  by their first day */
    private function __construct(
        private readonly array $visits,
        private readonly bool $weekends,
        private readonly string $today,
    ) {
        $this->next = $visits[0]->from;
        $this->last = Day::after(max($today, $visits[count($visits) - 1]->from), self::MOST);
    }

    /** @param  string  $today  YYYY-MM-DD: the rest is done from today on at the soonest */
    public static function for(Arrangement $arrangement, string $today): self
    {
        return new self(
            $arrangement->visits === [] ? [new Visit($today)] : $arrangement->visits,
            $arrangement->weekends,
            $today,
        );
    }

    /** The minute of work that a time of the clock is, or the first after it, from the first day's begin. */
    public function minute(string $day, int $ofDay): int
    {
        $on = $this->on($day);

        return $on * Timetable::DAY +
            ($this->date($on) === $day ? max(0, min($ofDay - 60 * Timetable::BEGINS, Timetable::DAY)) : 0);
    }

    /** The minute of work after which something has cured for so many minutes of the clock, nights and days off counted. */
    public function cured(int $end, int $wait): int
    {
        if ($wait === 0) {
            return $end;
        }
        $day = intdiv(max(0, $end - 1), Timetable::DAY);
        $minute = 60 * Timetable::BEGINS + $end - $day * Timetable::DAY + $wait;

        return $this->minute(Day::after($this->date($day), intdiv($minute, 1440)), $minute % 1440);
    }

    /** A minute of work as day and minute after its begin; the end of a day is no next day's begin. */
    public function clock(int $minute): string
    {
        $day = intdiv(max(0, $minute - 1), Timetable::DAY);
        $of = 60 * Timetable::BEGINS + $minute - $day * Timetable::DAY;

        return sprintf('%s %02d:%02d', $this->date($day), intdiv($of, 60), $of % 60);
    }

    public function date(int $number): string
    {
        return $this->at($number)['day'];
    }

    public function people(int $number): int
    {
        return $this->at($number)['people'];
    }

    /** The number of the visit that a day belongs to, from 0; null when it is in none. */
    public function visit(int $number): ?int
    {
        return $this->at($number)['visit'];
    }

    /** Most people who are there on any day from a number on. */
    public function most(int $from): int
    {
        $coming = array_slice($this->visits, $this->visit($from) ?? count($this->visits) - 1);

        return max(array_map(static fn(Visit $v): int => $v->people, $coming === [] ? $this->visits : $coming));
    }

    /** The number of the first day of work on or after a day. */
    public function on(string $day): int
    {
        for ($n = 0; $this->date($n) < $day; $n++);

        return $n;
    }

    /** The number of a day; null for a day without work. */
    public function number(string $day): ?int
    {
        $n = $this->on($day);
        if ($this->date($n) === $day) {
            return $n;
        }

        return null;
    }

    /** The time of the clock at which something begins that begins with a minute of work: the end of a day is the next one's begin. */
    public function starts(int $minute): string
    {
        $of = 60 * Timetable::BEGINS + ($minute % Timetable::DAY);

        return sprintf('%s %02d:%02d', $this->date(intdiv($minute, Timetable::DAY)), intdiv($of, 60), $of % 60);
    }

    /** A minute of work in words, such as Thu 26 Nov 13:40. */
    public function words(int $minute): string
    {
        return (new DateTimeImmutable($this->clock($minute)))->format('D j M H:i');
    }

    /** @return array{day: string, people: int, visit: int|null} */
    private function at(int $number): array
    {
        while (count($this->days) <= $number) {
            if ($this->next > $this->last) {
                throw InvalidInput::at('/visits', 'The work reaches too far into the future to plan for.');
            }
            $day = $this->next;
            $this->next = Day::after($day);
            if ($this->weekends || !Day::weekend($day)) {
                $this->add($day);
            }
        }

        return $this->days[$number];
    }

    /** Adds a working day: to the last started visit, while it has days left; after the last of all, as many as needed. */
    private function add(string $day): void
    {
        $current = 0;
        foreach ($this->visits as $n => $visit) {
            if ($visit->from <= $day) {
                $current = $n;
            }
        }
        $visit = $this->visits[$current];
        $this->used[$current] = ($this->used[$current] ?? 0) + 1;
        if ($day < $this->today) {
            return;
        }
        if ($visit->days === 0 || $this->used[$current] <= $visit->days) {
            $this->days[] = ['day' => $day, 'people' => $visit->people, 'visit' => $current];
        } elseif ($current === count($this->visits) - 1) {
            $this->days[] = ['day' => $day, 'people' => $visit->people, 'visit' => null];
        }
    }
}
