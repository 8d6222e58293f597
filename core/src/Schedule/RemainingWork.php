<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

use EmberDusk\Values\Copies;

/** Remaining work on the days: without finished steps, some of which may still cure. */
final readonly class RemainingWork
{
    use Copies;

    /**
     * @param  array<string, Step>  $steps  all of the job by id, in the order of the trade
     * @param  array<string, Step>  $left  unfinished steps on the days; one that waited for a finished step waits for what that one needed
     * @param  array<string, Step>  $ahead  unfinished steps that come before the first day
     * @param  array<string, int>  $here  minute of work from which a part is here, by shelf id
     * @param  array<string, int>  $held  minute of work before which a step cannot begin
     * @param  int  $soonest  minute of work that has come by now
     */
    private function __construct(
        public array $steps,
        public array $left,
        public array $ahead,
        public Timetable $timetable,
        public Arrangement $arrangement,
        public Days $days,
        public array $here,
        public array $held,
        public int $soonest,
    ) {}

    /**
     * @param  list<Step>  $steps
     * @param  array<string, Tick>  $ticks  by step
     * @param  array<string, string>  $arrivals  day on which a part comes, by its shelf id
     * @param  string  $now  YYYY-MM-DD, or with HH:MM: nothing that is left begins before
     *
     * @throws \EmberDusk\Values\Refusal when steps wait for each other in a circle
     */
    public static function for(array $steps, Arrangement $arrangement, array $ticks, array $arrivals, string $now): self
    {
        $days = Days::for($arrangement, substr($now, 0, 10));
        if (strlen($now) > 10) {
            $soonest =
                5 *
                (int) ceil(
                    $days->minute(substr($now, 0, 10), 60 * (int) substr($now, 11, 2) + (int) substr($now, 14, 2)) / 5,
                );
        } else {
            $soonest = 0;
        }
        $byId = $left = $ahead = $held = [];
        foreach ($arrangement->order($steps) as $step) {
            $byId[$step->id] = $step;
        }
        foreach (array_diff_key($byId, $ticks) as $id => $step) {
            $held[$id] = $soonest;
            foreach (array_intersect($step->after, array_keys($ticks)) as $done) {
                $held[$id] = max($held[$id], self::cured($days, $byId[$done]->wait, $ticks[$done]->at));
            }
            if ($step->ahead()) {
                $ahead[$id] = $step;
            } else {
                $left[$id] = $step->after(self::open($byId, $ticks, $step));
            }
        }
        $here = array_map(static fn(string $day): int => $days->on($day) * Timetable::DAY, $arrivals);

        return new self(
            steps: $byId,
            left: $left,
            ahead: $ahead,
            timetable: Timetable::for(
                steps: array_values($left),
                days: $days,
                pins: $arrangement->pins,
                here: $here,
                held: $held,
            ),
            arrangement: $arrangement,
            days: $days,
            here: $here,
            held: $held,
            soonest: $soonest,
        );
    }

    /**
     * Unfinished predecessors of a step; for a finished predecessor, the unfinished ones before it. A test that
     * is ticked although the cables are not laid yet does not let the boxes be closed.
     *
     * @param  array<string, Step>  $byId
     * @param  array<string, Tick>  $ticks  by step
     * @return list<string> ids
     */
    private static function open(array $byId, array $ticks, Step $step): array
    {
        $open = $seen = [];
        $before = $step->after;
        while ($before !== []) {
            $id = array_pop($before);
            if (isset($seen[$id])) {
                continue;
            }
            $seen[$id] = true;
            if (isset($ticks[$id], $byId[$id])) {
                array_push($before, ...$byId[$id]->after);
            } elseif ($id !== $step->id && ($byId[$id] ?? null)?->ahead() !== true) {
                $open[] = $id;
            }
        }

        return $open;
    }

    /** The same with something moved. */
    public function arranged(Arrangement $arrangement): self
    {
        return $this->withChanged(
            timetable: Timetable::for(
                steps: array_values($this->left),
                days: $this->days,
                pins: $arrangement->pins,
                here: $this->here,
                held: $this->held,
            ),
            arrangement: $arrangement,
        );
    }

    /** Minutes that people who are there wait inside their days, until the last step of each. */
    public function idle(): int
    {
        $last = $busy = [];
        foreach ($this->timetable->slots as $slot) {
            $last[$slot->day] = max($last[$slot->day] ?? 0, $slot->to);
            $busy[$slot->day] = ($busy[$slot->day] ?? 0) + ($slot->to - $slot->from) * count($slot->people);
        }

        return array_sum(
            array_map(
                fn(string $day): int => $last[$day] * $this->days->people($this->days->on($day)) - $busy[$day],
                array_keys($last),
            ),
        );
    }

    /** The minute of work from which something that was done at a time of the clock has cured. */
    private static function cured(Days $days, int $wait, string $at): int
    {
        if ($wait === 0) {
            return 0;
        }
        $minute = 60 * (int) substr($at, 11, 2) + (int) substr($at, 14, 2) + $wait;

        return $days->minute(Day::after(substr($at, 0, 10), intdiv($minute, 1440)), $minute % 1440);
    }
}
