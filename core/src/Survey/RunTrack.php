<?php

declare(strict_types=1);

namespace EmberDusk\Survey;

/** Collects a run's straight bits along the walls into sections and the gaps between them. */
final class RunTrack
{
    /** @var array<int, non-empty-list<Point>> */
    private array $sections = [];

    /** @var array<int, float> */
    private array $lengths = [];

    /** @var list<float> */
    private array $jumps = [];

    /** @var array<int, list<float>> */
    private array $bends = [];

    private float $end = 0.0;

    private ?float $heading = null;

    /**
     * A bit from one point to another, beginning so many metres along the walls.
     *
     * @param  float|null  $heading  degrees; null goes up or down
     */
    public function add(float $start, Point $from, Point $to, float $length, ?float $heading): void
    {
        $last = count($this->sections) - 1;
        if ($last >= 0 && abs($start - $this->end) < 1e-9) {
            if ($heading === null || $this->heading === null || abs($heading - $this->heading) > 1e-9) {
                $this->bends[$last][] = $this->lengths[$last] ?? 0.0;
            }
            $this->sections[$last][] = $to;
            $this->lengths[$last] = ($this->lengths[$last] ?? 0.0) + $length;
        } else {
            if ($last >= 0) {
                $this->jumps[] = $start - $this->end;
            }
            $this->sections[] = [$from, $to];
            $this->lengths[] = $length;
            $this->bends[] = [];
        }
        $this->heading = $heading;
        $this->end = $start + $length;
    }

    public function path(): RunPath
    {
        return new RunPath(
            array_values($this->sections),
            array_values($this->lengths),
            $this->jumps,
            array_values($this->bends),
        );
    }
}
