<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Routes;

use EmberDusk\Plan\Changes\Wires\Tails;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Survey\Point;
use EmberDusk\Survey\WallNotes;
use EmberDusk\Survey\WallSheet;

/**
 * Cable route lengths in one place, in metres: from current units by the laid cables, from surveyed boxes or outlets along the walls. In a closed
 * room both ways round count.
 */
final class Routes
{
    /** Current position of a run's supply and controller: the key before the run's id. */
    public const NOW = 'now ';

    /** Metres more than the way along the walls, to work with, and the least that a cable is. */
    private const SLACK = CableWay::SLACK;

    /** Default metres until measured. */
    private const FIRST = 1.0;

    private readonly WallSheet $sheet;

    /** @var array<string, float> metres, by place, run and pad */
    private array $tails = [];

    private readonly Walls $walls;

    public function __construct(private readonly Plan $plan, private readonly string $place)
    {
        $this->sheet = WallNotes::read($plan->place($place)->notes);
        $this->walls = new Walls($this->sheet);
    }

    /**
     * Possible positions of a unit for some runs: a current position, a surveyed box, an outlet. A supply needs ventilation; permanently closed
     * boxes are excluded.
     *
     * @param  list<Run>  $runs
     * @return list<string>
     */
    public function places(array $runs, bool $supply): array
    {
        $places = [];
        foreach ($this->sheet->site->boxes as $box) {
            if (
                $box->access !== 'closed' &&
                !($supply && $box->air === 'sealed') &&
                ($this->sheet->spots[$box->spot->name] ?? null) !== null
            ) {
                $places[] = $box->spot->name;
            }
        }
        foreach ($this->sheet->site->outlets as $outlet) {
            if (($this->sheet->spots[$outlet->spot->name] ?? null) !== null) {
                $places[] = $outlet->spot->name;
            }
        }
        foreach ($runs as $run) {
            if ($places === [] || $this->laid($run) !== null || $this->stands($run) !== null) {
                $places[] = self::NOW . $run->id;
            }
        }

        return $places;
    }

    /** Whether a spot of a place is measured on this sheet. */
    public function holds(string $place, string $spot): bool
    {
        return $place === $this->place && ($this->sheet->spots[$spot] ?? null) !== null;
    }

    /** Metres from a place to a pad of a run. */
    public function tail(string $place, Run $run, int $pad): float
    {
        return $this->tails["{$place}/{$run->id}/{$pad}"] ??= $this->way($place, $run, $pad);
    }

    private function way(string $place, Run $run, int $pad): float
    {
        $now = $this->now($place);
        if (
            $now !== null &&
            ($now->id === $run->id ||
                ($this->laid($run) !== null && $this->plan->ways()->origin($now) === $this->plan->ways()->origin($run)))
        ) {
            if ($this->laid($run) === null && $this->stands($run) === null) {
                return round(self::FIRST + $this->walls->along($this->at($run, 0), $this->at($run, $pad)), 2);
            }

            if ($this->laid($run) !== null) {
                return (new Tails($this->plan, $run))->reckon($pad);
            }
        }

        return round(
            $this->reach($place) +
                $this->walls->along($this->anchor($place), $this->at($run, $pad)) +
                self::rise($this->up($place), $run->height),
            2,
        );
    }

    /** Metres of new cable from a place to an end of a leg. */
    public function lead(string $place, LegEnd $end): float
    {
        return $this->reach($place) +
            $this->walls->along($this->anchor($place), $end->at) +
            self::rise($this->up($place), $end->up);
    }

    /** Metres from a supply's place to a controller's. */
    public function trunk(string $supply, string $controller): float
    {
        $of = $this->now($controller);
        $from = $this->now($supply);
        $laid = $of !== null ? $this->plan->ways()->cableTo($of->controller ?? '') : null;
        if (
            $of !== null &&
            $from !== null &&
            ($of->id === $from->id || ($laid !== null && $laid->from === $from->supply))
        ) {
            return $laid->length ??
                (CableWay::between($this->plan, (string) $from->supply, (string) $of->controller)?->metres() ??
                    self::FIRST);
        }

        return round(
            max(
                self::SLACK,
                $this->reach($supply) +
                    $this->reach($controller) -
                    self::SLACK +
                    $this->walls->along($this->anchor($supply), $this->anchor($controller)) +
                    self::rise($this->up($supply), $this->up($controller)),
            ),
            2,
        );
    }

    /** For a unit's record: a box or an outlet by its name, empty where it stays. */
    public static function where(string $place): string
    {
        if (str_starts_with($place, self::NOW)) {
            return '';
        }

        return $place;
    }

    private function now(string $place): ?Run
    {
        if (str_starts_with($place, self::NOW)) {
            return $this->plan->run(substr($place, strlen(self::NOW)));
        }

        return null;
    }

    /**
     * Metres of a run's shortest tail, and its feed's pad; null while none is laid.
     *
     * @return array{float, int}|null
     */
    private function laid(Run $run): ?array
    {
        $best = null;
        foreach ($this->plan->ways()->feedsOf($run) as $feed) {
            $cable = $this->plan->ways()->cableTo($feed->id);
            if (
                $cable !== null &&
                !isset($this->plan->splices[$cable->from]) &&
                ($best === null || $cable->length < $best[0])
            ) {
                $best = [$cable->length, $feed->pad];
            }
        }

        return $best;
    }

    /** Given position of the start of a run's tails, in this place. */
    private function stands(Run $run): ?CablePoint
    {
        $where = CableWay::where($this->plan, (string) $this->plan->ways()->origin($run));

        return $where?->place === $run->place ? $where : null;
    }

    /** The point on the sheet that a place's cables come past. */
    private function anchor(string $place): Point
    {
        $now = $this->now($place);
        if ($now === null) {
            return $this->sheet->spots[$place] ?? new Point(0.0, 0.0);
        }

        $stands = $this->laid($now) === null ? $this->stands($now) : null;
        if ($stands !== null) {
            return $stands->at;
        }

        return $this->at($now, $this->laid($now)[1] ?? 0);
    }

    /** Metres above the floor of a surveyed box or outlet, or of a placed unit; null if not measured, or if a cable states it. */
    private function up(string $place): ?float
    {
        $now = $this->now($place);
        if ($now === null) {
            return $this->sheet->site->spot($place)?->up;
        }

        if ($this->laid($now) === null) {
            return $this->stands($now)?->up;
        }

        return null;
    }

    private static function rise(?float $a, ?float $b): float
    {
        if ($a === null || $b === null) {
            return 0.0;
        }

        return abs($a - $b);
    }

    /** Metres from a place to its anchor. */
    private function reach(string $place): float
    {
        $now = $this->now($place);
        if ($now === null) {
            return self::SLACK;
        }

        return $this->laid($now)[0] ?? ($this->stands($now) === null ? self::FIRST : self::SLACK);
    }

    /** Position of a pad. */
    private function at(Run $run, int $pad): Point
    {
        $path = $this->sheet->runs[$run->word] ?? null;
        if ($path === null) {
            return new Point(0.0, 0.0);
        }

        return $path->at(
            $this->plan->of($run)->marks()->position($pad) + ($path->length() * ($run->part - 1)) / $run->parts,
        );
    }
}
