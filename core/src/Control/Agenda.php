<?php

declare(strict_types=1);

namespace EmberDusk\Control;

use DateTimeImmutable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Trigger;

/** Events started by clock and sun on a day, in order, and the triggers that do not start, with the reason. */
final readonly class Agenda
{
    /**
     * @param  list<array{minutes: int, trigger: Trigger}>  $entries
     * @param  list<array{trigger: Trigger, why: string}>  $not
     */
    private function __construct(public array $entries, public array $not) {}

    /**
     * @param  string  $day  YYYY-MM-DD
     * @param  string  $zone  of the clock where the job names none
     */
    public static function for(Plan $plan, string $day, string $zone): self
    {
        $sun = $plan->position !== null ? (new Sun($plan->position, $zone))->on($day) : null;
        $weekday = (int) (new DateTimeImmutable($day))->format('N');
        $entries = $not = [];
        foreach ($plan->triggers as $trigger) {
            if (!$trigger->timed() || ($trigger->days !== [] && !in_array($weekday, $trigger->days, true))) {
                continue;
            }
            $at = match ($trigger->by) {
                Trigger::SUNRISE => $sun?->rise,
                Trigger::SUNSET => $sun?->set,
                default => 0,
            };
            if ($at === null) {
                $not[] = ['trigger' => $trigger, 'why' => $sun->why ?? 'the location of the job is not set'];
            } else {
                $entries[] = ['minutes' => $at + $trigger->minutes, 'trigger' => $trigger];
            }
        }
        usort(
            $entries,
            static fn(array $a, array $b): int => [$a['minutes'], $a['trigger']->priority] <=> [
                $b['minutes'],
                $b['trigger']->priority,
            ],
        );

        return new self($entries, $not);
    }

    /** Clock time; the day before or after is named. */
    public static function clock(int $minutes): string
    {
        $day = intdiv($minutes - ((($minutes % 1440) + 1440) % 1440), 1440);
        $of = (($minutes % 1440) + 1440) % 1440;

        return sprintf('%02d:%02d', intdiv($of, 60), $of % 60) .
            match (true) {
                $day < 0 => ' the day before',
                $day > 0 => ' the day after',
                default => '',
            };
    }
}
