<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Routes;

use EmberDusk\Plan\LaidCable;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Survey\WallNotes;

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

        return $a === null ? null : self::joining($plan, $a, self::where($plan, $to));
    }

    /** Null if a position is unknown, or in different places. */
    public static function joining(Plan $plan, ?CablePoint $a, ?CablePoint $b): ?self
    {
        if ($a === null || $b === null || $a->place !== $b->place) {
            return null;
        }
        $walls = new Walls(WallNotes::read($plan->place($a->place)->notes));
        $known = $a->up !== null && $b->up !== null;

        return new self($walls->along($a->at, $b->at), $known ? abs($a->up - $b->up) : 0.0, $known);
    }

    /** Metres of cable from a unit to an end of a leg; null if its position is unknown or elsewhere. */
    public static function to(Plan $plan, string $unit, string $place, LegEnd $end): ?float
    {
        $from = self::where($plan, $unit);
        if ($from === null || $from->place !== $place) {
            return null;
        }
        $rise = $from->up !== null && $end->up !== null ? abs($from->up - $end->up) : 0.0;

        return (new Walls(WallNotes::read($plan->place($place)->notes)))->along($from->at, $end->at) +
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

    /** Position of a feed or unit; null if unknown. */
    public static function where(Plan $plan, string $end): ?CablePoint
    {
        $feed = $plan->feeds[$end] ?? null;
        if ($feed !== null) {
            return self::pad($plan, $plan->run($feed->run), $feed->pad);
        }
        $stands = (
            $plan->supplies[$end] ??
            ($plan->controllers[$end] ?? ($plan->hubs[$end] ?? ($plan->modules[$end] ?? ($plan->items[$end] ?? null))))
        )?->stands;
        if ($stands === null || !isset($plan->places[$stands->place])) {
            return null;
        }
        $sheet = WallNotes::read($plan->places[$stands->place]->notes);
        $point = $stands->on($sheet);

        if ($point === null) {
            return null;
        }

        return new CablePoint($stands->place, $point, $stands->up ?? $sheet->site->spot($stands->spot)?->up);
    }

    /** Position of a pad; null if unknown. */
    public static function pad(Plan $plan, Run $run, int $pad): ?CablePoint
    {
        $path = WallNotes::read($plan->place($run->place)->notes)->runs[$run->word] ?? null;
        $marks = $plan->of($run)->cutMarks();
        if ($path === null || $marks === null) {
            return null;
        }

        return new CablePoint(
            $run->place,
            $path->at($marks->position($pad) + ($path->length() * ($run->part - 1)) / $run->parts),
            $run->height,
        );
    }
}
