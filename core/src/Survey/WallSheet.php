<?php

declare(strict_types=1);

namespace EmberDusk\Survey;

use EmberDusk\Survey\Site\NamedSpot;
use EmberDusk\Survey\Site\SignalWire;
use EmberDusk\Survey\Site\Site;
use EmberDusk\Values\Copies;

/** The wall notes as geometry at true scale. */
final readonly class WallSheet
{
    use Copies;

    /**
     * @param  non-empty-list<Point>  $corners  from the start
     * @param  list<Opening>  $openings
     * @param  array<string, RunPath>  $runs  by the run's word
     * @param  list<Climb>  $climbs
     * @param  array<string, Point|null>  $spots  where outlets, boxes, batteries and signals are, by name; null inside the room
     * @param  list<Leg>  $legs
     * @param  string  $system  of the lengths as written
     * @param  list<Slip>  $slips
     */
    private function __construct(
        public string $start,
        public array $corners,
        public bool $closed,
        public array $openings,
        public array $runs,
        public array $climbs,
        public Site $site,
        public array $spots,
        public array $legs,
        public string $system,
        public array $slips,
    ) {}

    /** @param  list<Leg>  $legs */
    public static function from(string $start, array $legs, bool $closed, Site $site, string $system): self
    {
        $at = new Point(0.0, 0.0);
        $corners = [$at];
        $openings = [];
        $tracks = [];
        $climbs = [];
        $walked = 0.0;
        $starts = [];
        foreach ($legs as $leg) {
            $starts[] = $at;
            $from = 0.0;
            foreach ([...$leg->gaps, null] as $gap) {
                $to = $gap === null ? $leg->length : $gap->at;
                if ($to > $from + 1e-9) {
                    foreach ($leg->runs as $run) {
                        $tracks[$run] ??= new RunTrack();
                        $tracks[$run]->add(
                            $walked + $from,
                            $leg->climbs ? $at : $at->go($from, $leg->heading),
                            $leg->climbs ? $at : $at->go($to, $leg->heading),
                            $to - $from,
                            $leg->climbs ? null : $leg->heading,
                        );
                    }
                }
                if ($gap !== null) {
                    $openings[] = new Opening(
                        $at->go($gap->at, $leg->heading),
                        $at->go($gap->at + $gap->length, $leg->heading),
                        $gap->what,
                    );
                    $from = $gap->at + $gap->length;
                }
            }
            $walked += $leg->length;
            if ($leg->climbs) {
                $climbs[] = new Climb($at, $leg->length, $leg->down);
            } else {
                $at = $at->go($leg->length, $leg->heading);
                $corners[] = $at;
            }
        }

        $spots = [];
        $signals = array_map(static fn(SignalWire $s): NamedSpot => $s->spot, $site->signals);
        foreach ([...$site->spots(), ...$signals] as $spot) {
            $from = $spot->leg !== null ? $starts[$spot->leg] ?? null : null;
            $spots[$spot->name] = $from?->go(
                $legs[(int) $spot->leg]->climbs ? 0.0 : $spot->at,
                $legs[(int) $spot->leg]->heading,
            );
        }

        return new self(
            start: $start,
            corners: $corners,
            closed: $closed,
            openings: $openings,
            runs: array_map(static fn(RunTrack $t): RunPath => $t->path(), $tracks),
            climbs: $climbs,
            site: $site,
            spots: $spots,
            legs: $legs,
            system: $system,
            slips: [],
        );
    }

    /** A point so many metres along a leg; null where the notes have no such leg. */
    public function along(int $leg, float $at): ?Point
    {
        $from = $this->corners[0];
        foreach ($this->legs as $n => $of) {
            if ($n === $leg) {
                if ($of->climbs) {
                    return $from;
                }

                return $from->go(min($at, $of->length), $of->heading);
            }
            if (!$of->climbs) {
                $from = $from->go($of->length, $of->heading);
            }
        }

        return null;
    }

    /** Position of a named thing in the notes: a spot, the start, an opening; null if unknown. */
    public function named(string $name): ?Point
    {
        $same = static fn(string $other): bool => $other !== '' && mb_strtolower($other) === mb_strtolower($name);
        foreach ($this->spots as $spot => $point) {
            if ($same($spot)) {
                return $point;
            }
        }
        if ($same($this->start)) {
            return $this->corners[0];
        }
        foreach ($this->openings as $opening) {
            if ($same($opening->what)) {
                return new Point(($opening->from->x + $opening->to->x) / 2, ($opening->from->y + $opening->to->y) / 2);
            }
        }

        return null;
    }

    /** @param  list<Slip>  $slips */
    public function with(array $slips): self
    {
        return $this->withChanged(slips: $slips);
    }
}
