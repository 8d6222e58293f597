<?php

declare(strict_types=1);

namespace EmberDusk\Measure;

/** Collects a run's straight bits along the walls into sections and the gaps between them. */
final class RunTrack
{
    /** @var list<non-empty-list<Point>> */
    private array $sections = [];

    /** @var list<float> */
    private array $lengths = [];

    /** @var list<float> */
    private array $jumps = [];

    private float $end = 0.0;

    /** A bit from one point to another, beginning so many metres along the walls. */
    public function add(float $start, Point $from, Point $to, float $length): void
    {
        $last = count($this->sections) - 1;
        if ($last >= 0 && abs($start - $this->end) < 1e-9) {
            $this->sections[$last][] = $to;
            $this->lengths[$last] += $length;
        } else {
            if ($last >= 0) {
                $this->jumps[] = $start - $this->end;
            }
            $this->sections[] = [$from, $to];
            $this->lengths[] = $length;
        }
        $this->end = $start + $length;
    }

    public function path(): RunPath
    {
        return new RunPath($this->sections, $this->lengths, $this->jumps);
    }
}
