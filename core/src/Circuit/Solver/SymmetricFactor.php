<?php

declare(strict_types=1);

namespace EmberDusk\Circuit\Solver;

use EmberDusk\Values\NoSolution;
use EmberDusk\Values\Refusal;

/**
 * Solves a sparse symmetric positive definite system. The order (least degree first) and the places of the fill are
 * found once for a pattern; numbers are then put in and solved as often as wanted.
 */
final class SymmetricFactor
{
    /** @var array<int, array<int, int>> slot of each pair, both ways; a node's own slot on the diagonal */
    private array $slots = [];

    /** @var list<EliminationStep> */
    private array $steps = [];

    /** @var array<int, float> */
    private array $values = [];

    private int $count = 0;

    /**
     * @param  list<int>  $nodes
     * @param  list<array{int, int}>  $pairs  that may have a number
     */
    public function __construct(array $nodes, array $pairs)
    {
        $near = [];
        foreach ($nodes as $node) {
            $near[$node] = [];
            $this->slots[$node][$node] = $this->count++;
        }
        foreach ($pairs as [$a, $b]) {
            if ($a !== $b) {
                $near[$a][$b] = true;
                $near[$b][$a] = true;
            }
        }
        foreach ($near as $a => $others) {
            foreach ($others as $b => $_) {
                $this->slot($a, $b);
            }
        }
        while ($near !== []) {
            $this->eliminate(self::least($near), $near);
        }
    }

    public function clear(): void
    {
        $this->values = array_fill(0, $this->count, 0.0);
    }

    /** Adds to the number of a pair, once for both ways round. */
    public function add(int $a, int $b, float $value): void
    {
        $this->values[$this->slots[$a][$b]] += $value;
    }

    /**
     * @param  array<int, float>  $right  by node
     * @return array<int, float> by node
     *
     * @throws Refusal when a node not connected
     */
    public function solve(array $right): array
    {
        $v = $this->values;
        foreach ($this->steps as $step) {
            [$others, $slots, $targets] = [$step->others, $step->slots, $step->targets];
            $pivot = $v[$step->own];
            if (!($pivot > 0)) {
                throw new NoSolution('Part of the circuit is not connected: its current cannot be calculated.');
            }
            $t = 0;
            $r = $right[$step->node];
            foreach ($slots as $a => $slot) {
                $factor = $v[$slot] / $pivot;
                $right[$others[$a]] -= $factor * $r;
                for ($b = 0; $b <= $a; $b++) {
                    $v[$targets[$t++]] -= $factor * $v[$slots[$b]];
                }
            }
        }
        for ($n = count($this->steps) - 1; $n >= 0; $n--) {
            $step = $this->steps[$n];
            $others = $step->others;
            $sum = $right[$step->node];
            foreach ($step->slots as $a => $slot) {
                $sum -= $v[$slot] * $right[$others[$a]];
            }
            $right[$step->node] = $sum / $v[$step->own];
        }

        return $right;
    }

    /** @param  array<int, array<int, true>>  $near */
    private static function least(array $near): int
    {
        $best = 0;
        $fewest = PHP_INT_MAX;
        foreach ($near as $node => $others) {
            if (count($others) < $fewest) {
                [$best, $fewest] = [$node, count($others)];
            }
        }

        return $best;
    }

    /** @param  array<int, array<int, true>>  $near */
    private function eliminate(int $node, array &$near): void
    {
        $others = array_keys($near[$node]);
        $slots = [];
        $targets = [];
        foreach ($others as $n => $a) {
            unset($near[$a][$node]);
            $slots[] = $this->slots[$node][$a];
            for ($m = 0; $m <= $n; $m++) {
                $b = $others[$m];
                $targets[] = $this->slot($a, $b);
                if ($a !== $b) {
                    $near[$a][$b] = true;
                    $near[$b][$a] = true;
                }
            }
        }
        unset($near[$node]);
        $this->steps[] = new EliminationStep($node, $this->slots[$node][$node], $others, $slots, $targets);
    }

    private function slot(int $a, int $b): int
    {
        return $this->slots[$a][$b] ??= $this->slots[$b][$a] = $this->count++;
    }
}
