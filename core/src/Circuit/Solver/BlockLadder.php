<?php

declare(strict_types=1);

namespace EmberDusk\Circuit\Solver;

/** Three channels and more: a tridiagonal system of symmetric blocks, one row and column a channel. */
final class BlockLadder extends ChannelLadder
{
    /** @var list<array{list<list<float>>, list<float>, list<list<float>>}> inverse pivot, right side, coupling to the pad before */
    private array $rows = [];

    public function evaluate(float $part, array $start, array $end): void
    {
        $moved = $amps = $slopes = [];
        foreach ($this->d as $c => $row) {
            $steps = $this->step[$c];
            foreach ($row as $n => $d) {
                $row[$n] = $d + $part * $steps[$n];
            }
            $moved[] = $row;
            [$amps[], $slopes[]] = $this->stretch->loads[$c]->evaluate($row);
        }
        $this->moved = $moved;
        $this->i = $amps;
        $this->g = $slopes;
        $last = count($moved[0]) - 1;
        $in = $this->through($start, array_column($moved, 0), $this->perHalf);
        $this->startAmps = $in;
        $f = array_fill(0, count($moved), []);
        for ($n = 0; $n <= $last; $n++) {
            if ($n === $last) {
                $out = $this->through(array_column($moved, $n), $end, $this->perHalf);
            } else {
                $out = $this->through(array_column($moved, $n), array_column($moved, $n + 1), $this->perPitch);
            }
            foreach ($in as $c => $amps) {
                $f[$c][] = $amps - $out[$c] - $this->i[$c][$n];
            }
            $in = $out;
        }
        $this->endAmps = array_map(static fn(float $a): float => -$a, $in);
        $this->f = $f;
    }

    public function condense(): CondensedStretch
    {
        $last = count($this->f[0]) - 1;
        $before = $this->perHalf;
        $coupling = $startStart = $this->y($before);
        $start = array_fill(0, count($this->f), 0.0);
        $inverse = $right = [];
        $this->rows = [];
        for ($n = 0; $n <= $last; $n++) {
            $after = $n === $last ? $this->perHalf : $this->perPitch;
            $pivot = $this->y($before + $after, array_column($this->g, $n));
            $residual = array_column($this->f, $n);
            if ($n === 0) {
                $right = $residual;
            } else {
                $e = DenseMatrix::times($this->y($before), $inverse);
                $pivot = DenseMatrix::less($pivot, DenseMatrix::times($e, $this->y($before)));
                $right = DenseMatrix::sum($residual, DenseMatrix::on($e, $right));
                $coupling = DenseMatrix::times($e, $coupling);
            }
            $inverse = DenseMatrix::inverse($pivot);
            $seen = DenseMatrix::times($inverse, $coupling);
            $startStart = DenseMatrix::less($startStart, DenseMatrix::times(DenseMatrix::turned($coupling), $seen));
            $start = DenseMatrix::sum($start, DenseMatrix::on(DenseMatrix::turned($seen), $right));
            $this->rows[] = [$inverse, $right, $coupling];
            $before = $after;
        }
        $half = $this->y($this->perHalf);
        $e = DenseMatrix::times($half, $inverse);
        $endStart = DenseMatrix::times($e, $coupling);

        return new CondensedStretch(
            startStart: $startStart,
            startEnd: array_map(
                static fn(array $row): array => array_map(static fn(float $v): float => -$v, $row),
                DenseMatrix::turned($endStart),
            ),
            endEnd: DenseMatrix::less($half, DenseMatrix::times($e, $half)),
            start: $start,
            end: DenseMatrix::on($e, $right),
        );
    }

    public function expand(array $start, array $end): void
    {
        $next = $end;
        $after = $this->y($this->perHalf);
        $full = $this->y($this->perPitch);
        $steps = [];
        for ($n = count($this->rows) - 1; $n >= 0; $n--) {
            [$inverse, $right, $coupling] = $this->rows[$n];
            $next = DenseMatrix::on(
                $inverse,
                DenseMatrix::sum(
                    DenseMatrix::sum($right, DenseMatrix::on($coupling, $start)),
                    DenseMatrix::on($after, $next),
                ),
            );
            $steps[] = $next;
            $after = $full;
        }
        $steps = array_reverse($steps);
        $this->step = array_map(static fn(int $c): array => array_column($steps, $c), array_keys($this->d));
    }

    /**
     * Y over a length, and what loads add on its diagonal.
     *
     * @param  list<float>  $loads
     * @return list<list<float>>
     */
    private function y(float $perLength, array $loads = []): array
    {
        $y = [];
        foreach (array_keys($this->d) as $c) {
            $row = [];
            foreach (array_keys($this->d) as $d) {
                $row[] = $c === $d ? $this->own * $perLength + ($loads[$c] ?? 0.0) : $this->other * $perLength;
            }
            $y[] = $row;
        }

        return $y;
    }

    /**
     * Amps from one place to the next, a channel each: Y times the difference, which is own and all others' sum.
     *
     * @param  list<float>  $from
     * @param  list<float>  $to
     * @return list<float>
     */
    private function through(array $from, array $to, float $perLength): array
    {
        $sum = 0.0;
        $apart = [];
        foreach ($from as $c => $volts) {
            $apart[] = $d = $volts - $to[$c];
            $sum += $d;
        }
        $amps = [];
        foreach ($apart as $d) {
            $amps[] = $perLength * (($this->own - $this->other) * $d + $this->other * $sum);
        }

        return $amps;
    }
}
