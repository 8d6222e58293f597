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
    public static function for(Plan $plan, int $year, string $zone): self
    {
        $timed = array_filter($plan->triggers, static fn(Trigger $t): bool => $t->timed());
        if (
            $plan->position === null ||
            array_filter($timed, static fn(Trigger $t): bool => $t->by !== Trigger::CLOCK) === []
        ) {
            return new self([], []);
        }
        $missed = $crossed = [];
        if (!self::quiet($plan, $year, $zone)) {
            foreach (self::days($year, 1) as $date) {
                $agenda = Agenda::for($plan, $date, $zone);
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
        }
        // A normal day: a light that goes on in the evening and off in the morning.
        $crossed = array_filter($crossed, static fn(array $c): bool => $c['days'] < 300);

        return new self(array_values($missed), array_values($crossed));
    }

    /**
     * Whether no day can have anything to tell: the sun is earliest and latest around the solstices, and elsewhere only the clock's own change
     * moves it by leaps, which a look every week sees.
     */
    private static function quiet(Plan $plan, int $year, string $zone): bool
    {
        $looked = [
            ...self::days($year, 7),
            ...array_filter(self::days($year, 2), static fn(string $d): bool => preg_match('/-(06|12)-/', $d) === 1),
        ];
        $seen = [];
        foreach ($looked as $date) {
            $agenda = Agenda::for($plan, $date, $zone);
            if ($agenda->not !== []) {
                return false;
            }
            foreach (self::late($agenda) as [$on, $off]) {
                $seen["{$on->id} {$off->id}"] = ($seen["{$on->id} {$off->id}"] ?? 0) + 1;
            }
        }

        // A normal day.
        return array_diff($seen, [count($looked)]) === [];
    }

    /** @return list<string> every so many days of a year */
    private static function days(int $year, int $step): array
    {
        $days = [];
        $day = new DateTimeImmutable("{$year}-01-01");
        for (; $day->format('Y') === (string) $year; $day = $day->modify("+{$step} days")) {
            $days[] = $day->format('Y-m-d');
        }

        return $days;
    }

    /** @return list<array{Trigger, Trigger}> switched on by the sun after its switch-off time, or the reverse */
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
