<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\Refusal;

/** Cost of moving a step to another time, and the rules that it breaks. */
final readonly class Move
{
    /** @param  list<string>  $broken  rules, each with what to do; none when the step can be there */
    private function __construct(public array $broken, public RemainingWork $before, public RemainingWork $after) {}

    /** @throws Refusal when the step is not there or done */
    public static function for(RemainingWork $remaining, Pin $pin): self
    {
        $step =
            $remaining->left[$pin->step] ??
            throw InvalidInput::at(
                '/step',
                match (true) {
                    isset($remaining->ahead[$pin->step])
                        => 'It is done before the first day and has no place among the days.',
                    isset($remaining->steps[$pin->step]) => 'That step is done; it stays where it was.',
                    default => 'The job has no such step any more. Reload the page.',
                },
            );
        $after = $remaining->arranged($remaining->arrangement->moved($pin->step, $pin));
        $broken = self::broken($remaining, $step, $pin);
        if ($broken === [] && $after->timetable->begins[$pin->step] !== self::minute($remaining->days, $pin)) {
            $broken[] = 'No one is free then: another step was moved to that time. Move that one first.';
        }

        return new self($broken, $remaining, $after);
    }

    /** @return list<string> */
    private static function broken(RemainingWork $remaining, Step $step, Pin $pin): array
    {
        $days = $remaining->days;
        $number = $days->number($pin->day);
        if ($number === null) {
            return ['Nobody works on ' . Day::words($pin->day) . '. Take a day of a visit, or plan a visit for it.'];
        }
        $broken = [];
        if (min($step->people, $days->most($number)) > $days->people($number)) {
            $broken[] =
                'It takes two people and one is there that day. Take a day with two, or add a person to that visit.';
        }
        if ($step->minutes <= Timetable::DAY && $pin->from + $step->minutes > Timetable::DAY) {
            $broken[] = sprintf(
                'It takes %d minutes and would run past the end of the day. Start it at %s at the latest.',
                $step->minutes,
                self::clock(Timetable::DAY - $step->minutes),
            );
        }
        $at = self::minute($days, $pin);
        foreach ($step->needs as $part) {
            if (($remaining->here[$part] ?? 0) > $at) {
                $broken[] =
                    'A part that it needs comes on ' .
                    Day::words(substr($days->starts($remaining->here[$part]), 0, 10)) .
                    '.';
            }
        }
        // Even if nothing else were done before, these would not be over.
        $only = self::before($remaining->left, $step);
        $soonest = Timetable::for(
            steps: array_values($only),
            days: $days,
            here: $remaining->here,
            held: $remaining->held,
        );
        foreach ($step->after as $before) {
            if ($soonest->ends[$before] > $at) {
                $broken[] =
                    $at >= $soonest->begins[$before] + $only[$before]->minutes
                        ? "“{$only[$before]->title}” has not cured then: it has on " .
                            $days->words($soonest->ends[$before]) .
                            ' at the soonest.'
                        : "“{$only[$before]->title}” comes before it, and is done on " .
                            $days->words($soonest->ends[$before]) .
                            " at the soonest. {$only[$before]->why}";
            }
        }
        if ($at < $remaining->soonest) {
            $broken[] = 'That time is over. Move it to a later time.';
        } elseif (($remaining->held[$step->id] ?? 0) > $at) {
            $broken[] =
                'The step before it has not cured then: it has on ' . $days->words($remaining->held[$step->id]) . '.';
        }

        return $broken;
    }

    /**
     * A step and all its predecessors.
     *
     * @param  array<string, Step>  $steps
     * @return array<string, Step>
     */
    private static function before(array $steps, Step $step): array
    {
        $found = [];
        $open = [$step->id];
        while ($open !== []) {
            $id = array_pop($open);
            if (!isset($found[$id])) {
                $open = [...$open, ...$steps[$id]->after];
            }
            $found[$id] = $steps[$id];
        }

        return array_intersect_key($steps, $found);
    }

    private static function minute(Days $days, Pin $pin): int
    {
        return $days->on($pin->day) * Timetable::DAY + $pin->from;
    }

    private static function clock(int $minute): string
    {
        return sprintf('%02d:%02d', Timetable::BEGINS + intdiv($minute, 60), $minute % 60);
    }
}
