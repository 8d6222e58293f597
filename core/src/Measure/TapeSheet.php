<?php

declare(strict_types=1);

namespace EmberDusk\Measure;

/** What the tape notes say, as geometry at true scale. */
final readonly class TapeSheet
{
    /**
     * @param  non-empty-list<Point>  $corners  from the start
     * @param  list<Opening>  $openings
     * @param  array<string, RunPath>  $runs  by the run's word
     * @param  list<Climb>  $climbs
     * @param  list<Slip>  $slips
     */
    private function __construct(
        public string $start,
        public array $corners,
        public bool $closed,
        public array $openings,
        public array $runs,
        public array $climbs,
        public array $slips,
    ) {
    }

    /** @param  list<Leg>  $legs */
    public static function of(string $start, array $legs, bool $closed): self
    {
        $at = new Point(0.0, 0.0);
        $corners = [$at];
        $openings = [];
        $tracks = [];
        $climbs = [];
        $walked = 0.0;
        foreach ($legs as $leg) {
            $from = 0.0;
            foreach ([...$leg->gaps, null] as $gap) {
                $to = $gap === null ? $leg->length : $gap->at;
                if ($leg->run !== null && $to > $from + 1e-9) {
                    $tracks[$leg->run] ??= new RunTrack;
                    $tracks[$leg->run]->add($walked + $from, $leg->climbs ? $at : $at->go($from, $leg->heading),
                        $leg->climbs ? $at : $at->go($to, $leg->heading), $to - $from);
                }
                if ($gap !== null) {
                    $openings[] = new Opening($at->go($gap->at, $leg->heading), $at->go($gap->at + $gap->length, $leg->heading), $gap->what);
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

        return new self($start, $corners, $closed, $openings, array_map(static fn (RunTrack $t): RunPath => $t->path(), $tracks), $climbs, []);
    }

    /** @param  list<Slip>  $slips */
    public function with(array $slips): self
    {
        return new self($this->start, $this->corners, $this->closed, $this->openings, $this->runs, $this->climbs, $slips);
    }
}
