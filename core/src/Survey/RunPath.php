<?php

declare(strict_types=1);

namespace EmberDusk\Survey;

/** Path of a run: its sections as lines, their lengths, and the metres of lead between them. */
final readonly class RunPath
{
    /**
     * @param  list<non-empty-list<Point>>  $sections
     * @param  list<float>  $lengths  metres
     * @param  list<float>  $jumps  metres, one fewer than sections
     * @param  list<list<float>>  $bends  of each section the metres from its start at which it goes round a corner, up or down
     */
    public function __construct(
        public array $sections,
        public array $lengths,
        public array $jumps,
        public array $bends = [],
    ) {}

    public function length(): float
    {
        return array_sum($this->lengths);
    }

    /** Point at a distance along the strip; beyond its end the end. */
    public function at(float $metres): Point
    {
        $last = $this->sections[0][0] ?? new Point(0.0, 0.0);
        foreach ($this->sections as $points) {
            $last = $points[0];
            foreach (array_slice($points, 1) as $point) {
                $length = $last->to($point);
                if ($metres <= $length + 1e-9) {
                    $share = $length > 0 ? $metres / $length : 0.0;

                    return new Point(
                        $last->x + $share * ($point->x - $last->x),
                        $last->y + $share * ($point->y - $last->y),
                    );
                }
                $metres -= $length;
                $last = $point;
            }
        }

        return $last;
    }

    /** Metres between the run's two ends as the eye sees them; null for a run without sections. */
    public function endsApart(): ?float
    {
        $last = $this->sections[count($this->sections) - 1] ?? null;
        if ($last === null) {
            return null;
        }

        return $this->sections[0][0]->to($last[count($last) - 1]);
    }
}
