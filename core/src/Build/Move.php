<?php

declare(strict_types=1);

namespace EmberDusk\Build;

use EmberDusk\Values\Trouble;

/** What it costs to move a step to another time, and which rules that breaks. */
final readonly class Move
{
    /** @param  list<string>  $broken  rules, each with what to do; none when the step can be there */
    private function __construct(public array $broken, public Course $before, public Course $after) {}

    /** @throws Trouble when the step is not there or done */
    public static function of(Course $course, Pin $pin): self
    {
        $step =
            $course->left[$pin->step] ??
            throw Trouble::at(
                '/step',
                isset($course->steps[$pin->step])
                    ? 'That step is done; it stays where it was.'
                    : 'The job has no such step any more. Reload the page.',
            );
        $after = $course->arranged($course->arrangement->moved($pin->step, $pin));
        $broken = self::broken($course, $step, $pin);
        if ($broken === [] && $after->schedule->begins[$pin->step] !== self::minute($course->days, $pin)) {
            $broken[] = 'Nobody is free then: another step was moved to that time. Move that one first.';
        }

        return new self($broken, $course, $after);
    }

    /** @return list<string> */
    private static function broken(Course $course, Step $step, Pin $pin): array
    {
        $days = $course->days;
        $number = $days->number($pin->day);
        if ($number === null) {
            return ['Nobody works on ' . Day::words($pin->day) . '. Take a day of a visit, or plan a visit for it.'];
        }
        $broken = [];
        if (min($step->people, $days->most($number)) > $days->people($number)) {
            $broken[] =
                'It takes two people and one is there that day. Take a day with two, or add a person to that visit.';
        }
        if ($step->minutes <= Schedule::DAY && $pin->from + $step->minutes > Schedule::DAY) {
            $broken[] = sprintf(
                'It takes %d minutes and would run past the end of the day. Begin it at %s at the latest.',
                $step->minutes,
                self::clock(Schedule::DAY - $step->minutes),
            );
        }
        $at = self::minute($days, $pin);
        foreach ($step->needs as $part) {
            if (($course->here[$part] ?? 0) > $at) {
                $broken[] =
                    'A part that it needs comes on ' .
                    Day::words(substr($days->starts($course->here[$part]), 0, 10)) .
                    '.';
            }
        }
        // Even if nothing else were done before, these would not be over.
        $only = self::before($course->left, $step);
        $soonest = Schedule::of(array_values($only), $days, [], $course->here, $course->held);
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
        if ($at < $course->soonest) {
            $broken[] = 'That time is over. Move it to one that is to come.';
        } elseif (($course->held[$step->id] ?? 0) > $at) {
            $broken[] =
                'What it comes after has not cured then: it has on ' . $days->words($course->held[$step->id]) . '.';
        }

        return $broken;
    }

    /**
     * A step and all that comes before it.
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
            $open = isset($found[$id]) ? $open : [...$open, ...$steps[$id]->after];
            $found[$id] = $steps[$id];
        }

        return array_intersect_key($steps, $found);
    }

    private static function minute(Days $days, Pin $pin): int
    {
        return $days->on($pin->day) * Schedule::DAY + $pin->from;
    }

    private static function clock(int $minute): string
    {
        return sprintf('%02d:%02d', Schedule::BEGINS + intdiv($minute, 60), $minute % 60);
    }
}
