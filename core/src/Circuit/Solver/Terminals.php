<?php

declare(strict_types=1);

namespace EmberDusk\Circuit\Solver;

/** Between the terminals of a pad (its +, then its returns) and the differences that a ladder works in. */
final readonly class Terminals
{
    /**
     * @param  non-empty-list<int>  $terminals
     * @param  array<int, float>  $values
     * @return list<float> + less each return
     */
    public static function differences(array $terminals, array $values): array
    {
        $plus = $values[$terminals[0]];
        $differences = [];
        foreach (array_slice($terminals, 1) as $node) {
            $differences[] = $plus - $values[$node];
        }

        return $differences;
    }

    /**
     * Amps out of every terminal node into the stretch: of the ladder, and of all rails together.
     *
     * @param  array<int, float>  $volts
     * @return array<int, float> by node
     */
    public static function amps(Ladder $ladder, array $volts): array
    {
        $s = $ladder->stretch;
        $weights = $s->weights();
        $mean = 0.0;
        foreach ($weights as $t => $w) {
            $mean += $w * ($volts[$s->start[$t]] - $volts[$s->end[$t]]);
        }
        $common = $s->commonConductance() * $mean;
        $amps = [];
        foreach (
            [[$s->start, $ladder->startAmps(), 1], [$s->end, $ladder->endAmps(), -1]]
            as [$terminals, $taken, $sign]
        ) {
            foreach ($terminals as $t => $node) {
                $own = $t === 0 ? array_sum($taken) : -$taken[$t - 1];
                $amps[$node] = ($amps[$node] ?? 0.0) + $own + $sign * $common * $weights[$t];
            }
        }

        return $amps;
    }
}
