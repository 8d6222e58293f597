<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Routes;

use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Survey\Point;
use EmberDusk\Survey\TapeNotes;

/** How long a cable is between two ends whose places are known: along the walls, up or down, and something to work with. */
final readonly class CableWay
{
    /** Metres at both ends together, to work with (common practice, no source). */
    public const SLACK = 0.3;

    /**
     * @param  float  $along  metres of wall
     * @param  float  $rise  metres up or down
     * @param  bool  $heights  whether the heights of both ends are known; where not, the rise is none
     */
    private function __construct(public float $along, public float $rise, public bool $heights) {}

    /** Null if a position is unknown, or in different places. */
    public static function between(Plan $plan, string $from, string $to): ?self
    {
        $a = self::where($plan, $from);
        $b = $a !== null ? self::where($plan, $to) : null;
        if ($a === null || $b === null || $a[0] !== $b[0]) {
            return null;
        }
        $walls = new Walls(TapeNotes::read($plan->place($a[0])->notes));
        $known = $a[2] !== null && $b[2] !== null;

        return new self($walls->along($a[1], $b[1]), $known ? abs($a[2] - $b[2]) : 0.0, $known);
    }

    /** Metres of cable from a unit to an end of a leg; null if its position is unknown or elsewhere. */
    public static function to(Plan $plan, string $unit, string $place, LegEnd $end): ?float
    {
        $from = self::where($plan, $unit);
        if ($from === null || $from[0] !== $place) {
            return null;
        }
        $rise = $from[2] !== null && $end->up !== null ? abs($from[2] - $end->up) : 0.0;

        return (new Walls(TapeNotes::read($plan->place($place)->notes)))->along($from[1], $end->at) +
            $rise +
            self::SLACK;
    }

    public function metres(): float
    {
        return round(max(self::SLACK, $this->along + $this->rise + self::SLACK), 2);
    }

    /**
     * The plan with the calculated lengths of cables updated after a move; measured lengths stay.
     *
     * @param  callable(LaidCable): bool  $which
     */
    public static function reckoned(Plan $plan, callable $which): Plan
    {
        $cables = [];
        foreach ($plan->cables as $id => $cable) {
            if ($cable->reckoned && !$cable->existing && $which($cable)) {
                $way = self::between($plan, $cable->from, $cable->to);
                $cables[$id] = $way === null ? $cable : $cable->reckonedAs($way->metres());
            }
        }

        if ($cables === []) {
            return $plan;
        }

        return $plan->with(cables: $cables + $plan->cables);
    }

    /**
     * Position of a feed or unit: the place, the point on its sheet, metres above the floor.
     *
     * @return array{string, Point, float|null}|null null if unknown
     */
    public static function where(Plan $plan, string $end): ?array
    {
        $feed = $plan->feeds[$end] ?? null;
        if ($feed !== null) {
            $run = $plan->run($feed->run);
            $path = TapeNotes::read($plan->place($run->place)->notes)->runs[$run->word] ?? null;
            $marks = $plan->cutMarks($run);

            if ($path === null || $marks === null) {
                return null;
            }

            return [
                $run->place,
                $path->at($marks->position($feed->pad) + ($path->length() * ($run->part - 1)) / $run->parts),
                $run->height,
            ];
        }
        $stands = (
            $plan->supplies[$end] ??
            ($plan->controllers[$end] ?? ($plan->hubs[$end] ?? ($plan->modules[$end] ?? ($plan->items[$end] ?? null))))
        )?->stands;
        if ($stands === null || !isset($plan->places[$stands->place])) {
            return null;
        }
        $sheet = TapeNotes::read($plan->places[$stands->place]->notes);
        $point = $stands->on($sheet);

        if ($point === null) {
            return null;
        }

        return [$stands->place, $point, $stands->up ?? $sheet->site->spot($stands->spot)?->up];
    }
}
