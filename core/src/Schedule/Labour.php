<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

use EmberDusk\Plan\Terms;
use EmberDusk\Rates\Productivity;
use EmberDusk\Rates\Work;

/** Unrounded minutes of all people together, kind by kind of step, with the ways back and forth. Fives are for the calendar. */
final readonly class Labour
{
    /**
     * @param  array<string, float>  $minutes  by kind of {@see Work}
     * @param  array<string, array{float, float}>  $ranges  at best and at worst, likewise
     * @param  int  $visits  ways back and forth, without the one to look again
     */
    private function __construct(public array $minutes, public array $ranges, public int $visits) {}

    /** @param  list<Step>  $steps */
    public static function for(array $steps, Arrangement $arrangement, Productivity $crew, Terms $terms): self
    {
        $minutes = $ranges = [];
        foreach ($steps as $step) {
            $people = $arrangement->people($step);
            $kind = $step->kind->value;
            $minutes[$kind] = ($minutes[$kind] ?? 0.0) + $step->work * $people;
            [$least, $most] = $ranges[$kind] ?? [0.0, 0.0];
            $ranges[$kind] = [$least + $step->range[0] * $people, $most + $step->range[1] * $people];
        }
        /** @var array<string, float> $minutes in the order of the trade */
        $minutes = array_replace(
            array_intersect_key(array_fill_keys(array_column(Work::cases(), 'value'), 0.0), $minutes),
            $minutes,
        );
        if ($steps === []) {
            return new self([], [], 0);
        }
        $travel = $terms->travelMinutes * $arrangement->journeys();
        if ($travel > 0) {
            [$minutes['travel'], $ranges['travel']] = [$travel, [$travel, $travel]];
        }
        if ($terms->again) {
            $table = Work::Again->minutes();
            [$least, $most] = $crew->range(Work::Again, $table);
            $minutes['again'] = $table * $crew->factor(Work::Again) + $terms->travelMinutes;
            $ranges['again'] = [$least + $terms->travelMinutes, $most + $terms->travelMinutes];
        }

        return new self($minutes, $ranges, $arrangement->visits === [] ? 1 : count($arrangement->visits));
    }

    public function total(): float
    {
        return array_sum($this->minutes);
    }

    /** @return array{float, float} at best and at worst */
    public function range(): array
    {
        return [array_sum(array_column($this->ranges, 0)), array_sum(array_column($this->ranges, 1))];
    }
}
