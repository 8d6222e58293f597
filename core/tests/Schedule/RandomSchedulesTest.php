<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Schedule;

use EmberDusk\Schedule\Pin;
use EmberDusk\Schedule\RemainingWork;
use EmberDusk\Schedule\Step;
use EmberDusk\Schedule\Timetable;
use EmberDusk\Schedule\Visit;
use PHPUnit\Framework\TestCase;

/** Schedules made at random, the seed fixed, keep every rule. */
final class RandomSchedulesTest extends TestCase
{
    use WorkedSteps;

    /** Sixty networks with visits, parts on the way, two-person steps and moves: no rule of the schedule is broken, nothing is left out. */
    public function test_random_schedules_keep_every_rule(): void
    {
        mt_srand(77);
        for ($case = 0; $case < 60; $case++) {
            $steps = $pins = [];
            for ($n = 0; $n < mt_rand(4, 14); $n++) {
                $after = array_values(
                    array_filter(
                        array_map(static fn(int $k): string => "s{$k}", range(0, max(0, $n - 1))),
                        static fn(): bool => mt_rand(0, 3) === 0,
                    ),
                );
                $steps["s{$n}"] = self::step(
                    id: "s{$n}",
                    minutes: 5 * mt_rand(1, 60),
                    after: $n === 0 ? [] : $after,
                    people: mt_rand(1, 4) === 1 ? 2 : 1,
                    wait: mt_rand(0, 4) === 0 ? 60 * mt_rand(1, 30) : 0,
                    needs: mt_rand(0, 4) === 0 ? ['part'] : [],
                );
            }
            if (mt_rand(0, 1) === 0) {
                $visits = [new Visit('2026-11-30', 0, mt_rand(1, 2))];
            } else {
                $visits = [
                    new Visit('2026-11-30', mt_rand(1, 2), 1),
                    new Visit('2026-12-07', mt_rand(0, 2), mt_rand(1, 2)),
                    new Visit('2026-12-14', mt_rand(0, 1), mt_rand(1, 2)),
                ];
            }
            if (mt_rand(0, 2) === 0) {
                $visits = array_map(
                    static fn(Visit $v): Visit => new Visit($v->from, $v->days, 3 - $v->people),
                    $visits,
                );
            } else {
                $visits = $visits;
            }
            if (mt_rand(0, 1) === 0) {
                $pins['s1'] = new Pin('s1', '2026-12-0' . mt_rand(1, 9), 5 * mt_rand(0, 40), mt_rand(0, 1));
            }
            $remaining = self::remaining(
                steps: array_values($steps),
                visits: $visits,
                arrivals: ['part' => '2026-12-02'],
                pins: $pins,
            );
            $this->keepsItsRules($remaining, $steps, "case {$case}");
        }
    }

    /** @param  array<string, Step>  $steps */
    private function keepsItsRules(RemainingWork $remaining, array $steps, string $said): void
    {
        $timetable = $remaining->timetable;
        $minutes = $busy = [];
        foreach ($timetable->slots as $slot) {
            $minutes[$slot->step->id] = ($minutes[$slot->step->id] ?? 0) + $slot->to - $slot->from;
            $day = $remaining->days->number($slot->day);
            self::assertNotNull($day, $said);
            self::assertLessThanOrEqual(Timetable::DAY, $slot->to, $said);
            foreach ($slot->people as $person) {
                self::assertLessThan($remaining->days->people($day), $person, "{$said}: nobody who is not there");
                foreach ($busy["{$slot->day} {$person}"] ?? [] as [$from, $to]) {
                    self::assertTrue(
                        $slot->to <= $from || $slot->from >= $to,
                        "{$said}: nobody does two things at once",
                    );
                }
                $busy["{$slot->day} {$person}"][] = [$slot->from, $slot->to];
            }
        }
        ksort($minutes);
        $all = array_map(static fn(Step $s): int => $s->minutes, $steps);
        ksort($all);
        self::assertSame($all, $minutes, "{$said}: every step is done once");
        foreach ($steps as $id => $step) {
            foreach ($step->after as $before) {
                self::assertGreaterThanOrEqual(
                    $timetable->begins[$before] + $steps[$before]->minutes,
                    $timetable->begins[$id],
                    "{$said}: {$before} before {$id}",
                );
                $from = strtotime($remaining->days->clock($timetable->begins[$before] + $steps[$before]->minutes));
                self::assertGreaterThanOrEqual(
                    $from + 60 * $steps[$before]->wait,
                    strtotime($remaining->days->clock($timetable->begins[$id] + 1)) - 60,
                    "{$said}: {$before} has cured before {$id}",
                );
            }
            self::assertTrue(
                $step->needs === [] || $remaining->days->clock($timetable->begins[$id] + 1) >= '2026-12-02',
                "{$said}: {$id} waits for its part",
            );
        }
        self::assertGreaterThanOrEqual(max([0, ...array_values($all)]), $timetable->end(), $said);
    }
}
