<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Routes;

use EmberDusk\Survey\Point;
use EmberDusk\Survey\WallSheet;

/** How far it is along the walls of one place: a loop's walls lead both ways round. */
final class Walls
{
    /** @var list<float> metres of wall up to each corner */
    private array $walked = [0.0];

    public function __construct(private readonly WallSheet $sheet)
    {
        foreach (array_slice($sheet->corners, 1) as $n => $corner) {
            $this->walked[] = $this->walked[$n] + $sheet->corners[$n]->to($corner);
        }
    }

    /** Metres from one point to another. */
    public function along(Point $a, Point $b): float
    {
        if (count($this->sheet->corners) < 2) {
            return $a->to($b);
        }
        [[$from, $off], [$to, $away]] = [$this->wall($a), $this->wall($b)];
        $along = abs($from - $to);
        $round = $this->walked[count($this->walked) - 1];

        return ($this->sheet->closed ? min($along, $round - $along) : $along) + $off + $away;
    }

    /** @return array{float, float} metres of wall up to the nearest place on it, and metres from there */
    private function wall(Point $p): array
    {
        $best = [0.0, INF];
        foreach (array_slice($this->sheet->corners, 1) as $n => $end) {
            $start = $this->sheet->corners[$n];
            $length = $start->to($end);
            if ($length > 0) {
                $share = max(
                    0.0,
                    min(
                        1.0,
                        (($p->x - $start->x) * ($end->x - $start->x) + ($p->y - $start->y) * ($end->y - $start->y)) /
                            $length ** 2,
                    ),
                );
            } else {
                $share = 0.0;
            }
            $away = $p->to(
                new Point($start->x + $share * ($end->x - $start->x), $start->y + $share * ($end->y - $start->y)),
            );
            if ($away < $best[1] - 1e-9) {
                $best = [$this->walked[$n] + $share * $length, $away];
            }
        }

        return $best;
    }
}
