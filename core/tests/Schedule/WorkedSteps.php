<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Schedule;

use EmberDusk\Rates\Work;
use EmberDusk\Schedule\Arrangement;
use EmberDusk\Schedule\Pin;
use EmberDusk\Schedule\RemainingWork;
use EmberDusk\Schedule\Step;
use EmberDusk\Schedule\Tick;
use EmberDusk\Schedule\Visit;

trait WorkedSteps
{
    /**
     * @param  list<string>  $after
     * @param  list<string>  $needs
     */
    private static function step(
        string $id,
        int $minutes,
        array $after = [],
        int $people = 1,
        int $wait = 0,
        array $needs = [],
    ): Step {
        return new Step(
            id: $id,
            kind: Work::Dry,
            place: 'Room',
            title: "Step {$id}",
            why: "Why {$id}.",
            units: 1.0,
            table: $minutes,
            work: $minutes,
            minutes: $minutes,
            range: [$minutes, $minutes],
            people: $people,
            tools: [],
            caution: '',
            after: $after,
            wait: $wait,
            needs: $needs,
        );
    }

    /**
     * @param  list<Step>  $steps
     * @param  list<Visit>  $visits
     * @param  array<string, Tick>  $ticks
     * @param  array<string, string>  $arrivals
     * @param  array<string, Pin>  $pins
     */
    private static function remaining(
        array $steps,
        array $visits = [],
        array $ticks = [],
        array $arrivals = [],
        array $pins = [],
        string $today = '2026-11-30',
    ): RemainingWork {
        return RemainingWork::for(
            steps: $steps,
            arrangement: new Arrangement($visits, false, $pins),
            ticks: $ticks,
            arrivals: $arrivals,
            now: $today,
        );
    }

    /** @return array<string, array{string, int}> day and minute at which each step begins */
    private static function begins(RemainingWork $remaining): array
    {
        $begins = [];
        foreach ($remaining->timetable->slots as $slot) {
            $begins[$slot->step->id] ??= [$slot->day, $slot->from];
        }

        return $begins;
    }
}
