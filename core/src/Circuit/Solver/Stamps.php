<?php

declare(strict_types=1);

namespace EmberDusk\Circuit\Solver;

use EmberDusk\Circuit\Network;

/** Adds the elements between nodes to the matrix of the hubs; node 0 has no row. */
final readonly class Stamps
{
    public function __construct(private SymmetricFactor $factor) {}

    /**
     * A stretch condensed to its two pads, and its injected currents.
     *
     * @param  array<int, float>  $right
     */
    public function stretch(Ladder $ladder, array &$right): void
    {
        $s = $ladder->stretch;
        $c = $ladder->condense();
        $this->block($s->start, $s->start, $c->startStart);
        $this->block($s->end, $s->end, $c->endEnd);
        $this->block($s->start, $s->end, $c->startEnd, true);
        foreach ([[$s->start, $c->start], [$s->end, $c->end]] as [$terminals, $amps]) {
            foreach ($amps as $n => $a) {
                $right[$terminals[0]] += $a;
                $right[$terminals[$n + 1]] -= $a;
            }
        }
        $common = $s->commonConductance();
        $w = $s->weights();
        foreach ($w as $a => $wa) {
            foreach ($w as $b => $wb) {
                $this->place($s->start[$a], $s->start[$b], $common * $wa * $wb);
                $this->place($s->end[$a], $s->end[$b], $common * $wa * $wb);
                $this->place($s->start[$a], $s->end[$b], -$common * $wa * $wb, true);
            }
        }
    }

    /**
     * Puts a matrix in differences (+ less return) onto terminals.
     *
     * @param  list<int>  $rows
     * @param  list<int>  $columns
     * @param  list<list<float>>  $matrix
     */
    private function block(array $rows, array $columns, array $matrix, bool $between = false): void
    {
        foreach ($matrix as $c => $row) {
            foreach ($row as $d => $value) {
                $this->place($rows[0], $columns[0], $value, $between);
                $this->place($rows[0], $columns[$d + 1], -$value, $between);
                $this->place($rows[$c + 1], $columns[0], -$value, $between);
                $this->place($rows[$c + 1], $columns[$d + 1], $value, $between);
            }
        }
    }

    /** One number of the symmetric matrix; inside one pad both ways round come by themselves, so only one half is kept. */
    private function place(int $a, int $b, float $value, bool $between = false): void
    {
        if ($a > 0 && $b > 0 && ($between || $a <= $b)) {
            $this->factor->add($a, $b, $value);
        }
    }

    public function conductance(int $a, int $b, float $siemens): void
    {
        $this->place($a, $a, $siemens);
        $this->place($b, $b, $siemens);
        $this->place($a, $b, -$siemens, true);
    }

    /** @return list<array{int, int}> hubs that something joins, ground left out */
    public static function pairs(Network $network): array
    {
        $pairs = [];
        foreach ($network->resistors as $r) {
            $pairs[] = [$r->from, $r->to];
        }
        foreach ($network->sources as $source) {
            $pairs[] = [$source->plus, $source->minus];
        }
        foreach ($network->points as $point) {
            $pairs[] = [$point->plus, $point->minus];
        }
        foreach ($network->stretches as $s) {
            $terminals = [...$s->start, ...$s->end];
            foreach ($terminals as $a) {
                foreach ($terminals as $b) {
                    $pairs[] = [$a, $b];
                }
            }
        }

        return array_values(array_filter($pairs, static fn(array $p): bool => $p[0] > 0 && $p[1] > 0));
    }
}
