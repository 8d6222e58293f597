<?php

declare(strict_types=1);

namespace EmberDusk\Circuit\Solver;

/** Single colour: a scalar tridiagonal system. */
final class ScalarLadder extends Ladder
{
    /** @var list<float> */
    private array $d = [];

    /** @var list<float> */
    private array $moved = [];

    /** @var list<float> */
    private array $step = [];

    /** @var list<float> */
    private array $i = [];

    /** @var list<float> */
    private array $g = [];

    /** @var list<float> */
    private array $f = [];

    /** @var list<float> pivots, right sides and couplings to the pad before, as eliminated */
    private array $pivots = [];

    /** @var list<float> */
    private array $rights = [];

    /** @var list<float> */
    private array $couplings = [];

    private float $startAmps = 0.0;

    private float $endAmps = 0.0;

    public function begin(array $start, array $end): void
    {
        $m = $this->stretch->groups;
        for ($n = 0; $n < $m; $n++) {
            $this->d[] = $start[0] + ($end[0] - $start[0]) * ($n + 0.5) / $m;
            $this->step[] = 0.0;
        }
    }

    public function evaluate(float $part, array $start, array $end): void
    {
        $moved = [];
        foreach ($this->d as $n => $d) {
            $moved[] = $d + $part * $this->step[$n];
        }
        $this->moved = $moved;
        [$this->i, $this->g] = $this->stretch->loads[0]->evaluate($moved);
        $half = $this->own * $this->perHalf;
        $full = $this->own * $this->perPitch;
        $last = count($moved) - 1;
        $in = $half * ($start[0] - $moved[0]);
        $this->startAmps = $in;
        $f = [];
        foreach ($moved as $n => $d) {
            $out = $n === $last ? $half * ($d - $end[0]) : $full * ($d - $moved[$n + 1]);
            $f[] = $in - $out - $this->i[$n];
            $in = $out;
        }
        $this->endAmps = -$in;
        $this->f = $f;
    }

    public function accept(): void
    {
        $this->d = $this->moved;
    }

    public function condense(): Condensed
    {
        $half = $this->own * $this->perHalf;
        $full = $this->own * $this->perPitch;
        $last = count($this->d) - 1;
        $before = $half;
        $coupling = $half;
        $right = $pivot = 0.0;
        $startStart = $half;
        $startRight = 0.0;
        $this->pivots = $this->rights = $this->couplings = [];
        foreach ($this->f as $n => $f) {
            $after = $n === $last ? $half : $full;
            if ($n === 0) {
                $pivot = $before + $after + $this->g[0];
                $right = $f;
            } else {
                $factor = $before / $pivot;
                $pivot = $before + $after + $this->g[$n] - $factor * $before;
                $right = $f + $factor * $right;
                $coupling *= $factor;
            }
            $startStart -= $coupling * $coupling / $pivot;
            $startRight += $coupling * $right / $pivot;
            $this->pivots[] = $pivot;
            $this->rights[] = $right;
            $this->couplings[] = $coupling;
            $before = $after;
        }

        return new Condensed([[$startStart]], [[-$coupling * $half / $pivot]], [[$half - $half * $half / $pivot]],
            [$startRight], [$half * $right / $pivot]);
    }

    public function expand(array $start, array $end): void
    {
        $half = $this->own * $this->perHalf;
        $full = $this->own * $this->perPitch;
        $next = $end[0];
        $after = $half;
        $step = [];
        for ($n = count($this->d) - 1; $n >= 0; $n--) {
            $next = ($this->rights[$n] + $this->couplings[$n] * $start[0] + $after * $next) / $this->pivots[$n];
            $step[] = $next;
            $after = $full;
        }
        $this->step = array_reverse($step);
    }

    public function descent(): float
    {
        $sum = 0.0;
        foreach ($this->f as $n => $f) {
            $sum += $f * $this->step[$n];
        }

        return $sum;
    }

    public function residual(): float
    {
        return self::largest($this->f);
    }

    public function step(): float
    {
        return self::largest($this->step);
    }

    public function startAmps(): array
    {
        return [$this->startAmps];
    }

    public function endAmps(): array
    {
        return [$this->endAmps];
    }

    public function differences(): array
    {
        return [$this->d];
    }

    public function amps(): array
    {
        return [$this->i];
    }
}
