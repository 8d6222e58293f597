<?php

declare(strict_types=1);

namespace EmberDusk\Control;

use DateTimeImmutable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Trigger;

/** A year of what clock and sun start: days on which the sun lets something down, and days on which something goes on after it was to go out. */
final readonly class Year
{
    /**
     * @param  list<array{trigger: Trigger, why: string, days: int, first: string, last: string}>  $missed
     * @param  list<array{on: Trigger, off: Trigger, days: int, first: string, last: string}>  $crossed
     */
    private function __construct(public array $missed, public array $crossed) {}

    /** @param  string  $zone  of the clock where the job names none */
    public static function of(Plan $plan, int $year, string $zone): self
    {
        $timed = array_filter($plan->triggers, static fn(Trigger $t): bool => $t->timed());
        if (
            $plan->position === null ||
            array_filter($timed, static fn(Trigger $t): bool => $t->by !== Trigger::CLOCK) === []
        ) {
            return new self([], []);
        }
        $missed = $crossed = [];
        $day = new DateTimeImmutable("{$year}-01-01");
        for (; $day->format('Y') === (string) $year; $day = $day->modify('+1 day')) {
            $date = $day->format('Y-m-d');
            $agenda = Agenda::of($plan, $date, $zone);
            foreach ($agenda->not as $not) {
                $key = "{$not['trigger']->id} {$not['why']}";
                $missed[$key] ??= $not + ['days' => 0, 'first' => $date, 'last' => $date];
                $missed[$key]['days']++;
                $missed[$key]['last'] = $date;
            }
            foreach (self::late($agenda) as [$on, $off]) {
                $key = "{$on->id} {$off->id}";
                $crossed[$key] ??= ['on' => $on, 'off' => $off, 'days' => 0, 'first' => $date, 'last' => $date];
                $crossed[$key]['days']++;
                $crossed[$key]['last'] = $date;
            }
        }
        // What is so on every day is meant: a light that goes on in the evening and out in the morning.
        $crossed = array_filter($crossed, static fn(array $c): bool => $c['days'] < 300);

        return new self(array_values($missed), array_values($crossed));
    }

    /** @return list<array{Trigger, Trigger}> what goes on by the sun after the clock was to put it out, or the other way round */
    private static function late(Agenda $agenda): array
    {
        $late = [];
        foreach ($agenda->entries as $n => $out) {
            if ($out['trigger']->plays !== Trigger::NOTHING) {
                continue;
            }
            foreach (array_slice($agenda->entries, $n + 1) as $on) {
                $sun = $on['trigger']->by !== Trigger::CLOCK || $out['trigger']->by !== Trigger::CLOCK;
                if ($sun && $on['trigger']->plays !== Trigger::NOTHING) {
                    $late[] = [$on['trigger'], $out['trigger']];
                }
            }
        }

        return $late;
    }
}
