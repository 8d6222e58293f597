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
            $this->d[] = $start[0] + (($end[0] - $start[0]) * ($n + 0.5)) / $m;
            $this->step[] = 0.0;
        }
    }

    public function evaluate(float $part, array $start, array $end): void
    {
        // Local names throughout: a property costs more than the arithmetic in loops of this length.
        $moved = [];
        $step = $this->step;
        foreach ($this->d as $n => $d) {
            $moved[] = $d + $part * $step[$n];
        }
        $this->moved = $moved;
        [$amps, $this->g] = $this->stretch->loads[0]->evaluate($moved);
        $this->i = $amps;
        $half = $this->own * $this->perHalf;
        $full = $this->own * $this->perPitch;
        $last = count($moved) - 1;
        $in = $half * ($start[0] - $moved[0]);
        $this->startAmps = $in;
        $f = [];
        for ($n = 0; $n < $last; $n++) {
            $out = $full * ($moved[$n] - $moved[$n + 1]);
            $f[] = $in - $out - $amps[$n];
            $in = $out;
        }
        $out = $half * ($moved[$last] - $end[0]);
        $f[] = $in - $out - $amps[$last];
        $this->endAmps = -$out;
        $this->f = $f;
    }

    public function accept(): void
    {
        $this->d = $this->moved;
    }

    public function condense(): CondensedStretch
    {
        $half = $this->own * $this->perHalf;
        $full = $this->own * $this->perPitch;
        $last = count($this->d) - 1;
        $before = $half;
        $coupling = $half;
        $right = $pivot = 0.0;
        $startStart = $half;
        $startRight = 0.0;
        $pivots = $rights = $couplings = [];
        $slopes = $this->g;
        foreach ($this->f as $n => $f) {
            $after = $n === $last ? $half : $full;
            if ($n === 0) {
                $pivot = $before + $after + $slopes[0];
                $right = $f;
            } else {
                $factor = $before / $pivot;
                $pivot = $before + $after + $slopes[$n] - $factor * $before;
                $right = $f + $factor * $right;
                $coupling *= $factor;
            }
            $share = $coupling / $pivot;
            $startStart -= $coupling * $share;
            $startRight += $right * $share;
            $pivots[] = $pivot;
            $rights[] = $right;
            $couplings[] = $coupling;
            $before = $after;
        }
        [$this->pivots, $this->rights, $this->couplings] = [$pivots, $rights, $couplings];

        return new CondensedStretch(
            startStart: [[$startStart]],
            startEnd: [[(-$coupling * $half) / $pivot]],
            endEnd: [[$half - ($half * $half) / $pivot]],
            start: [$startRight],
            end: [($half * $right) / $pivot],
        );
    }

    public function expand(array $start, array $end): void
    {
        $half = $this->own * $this->perHalf;
        $full = $this->own * $this->perPitch;
        $next = $end[0];
        $after = $half;
        $step = [];
        [$rights, $couplings, $pivots, $first] = [$this->rights, $this->couplings, $this->pivots, $start[0]];
        for ($n = count($pivots) - 1; $n >= 0; $n--) {
            $next = ($rights[$n] + $couplings[$n] * $first + $after * $next) / $pivots[$n];
            $step[] = $next;
            $after = $full;
        }
        $this->step = array_reverse($step);
    }

    public function descent(): float
    {
        $sum = 0.0;
        $step = $this->step;
        foreach ($this->f as $n => $f) {
            $sum += $f * $step[$n];
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
