<?php

declare(strict_types=1);

namespace EmberDusk\Circuit\Solver;

/**
 * Three or four channels: symmetric 4 x 4 blocks written out, because it is the inner loop of colour strips.
 *
 * Y = a I + b 1 1^T lets a product with Y be a sum and a multiple, so only P = D^-1 and P C are dense. With three channels the fourth is not in the
 * sums ($m is 0), has no load and stays 0.
 */
final class QuadLadder extends Ladder
{
    /** @var array{list<float>, list<float>, list<float>, list<float>} */
    private array $d = [[], [], [], []];

    /** @var array{list<float>, list<float>, list<float>, list<float>} */
    private array $moved = [[], [], [], []];

    /** @var array{list<float>, list<float>, list<float>, list<float>} */
    private array $step = [[], [], [], []];

    /** @var array{list<float>, list<float>, list<float>, list<float>} */
    private array $i = [[], [], [], []];

    /** @var array{list<float>, list<float>, list<float>, list<float>} */
    private array $g = [[], [], [], []];

    /** @var array{list<float>, list<float>, list<float>, list<float>} */
    private array $f = [[], [], [], []];

    /** @var list<list<float>> inverse pivot (10), right side (4), coupling to the pad before (16, by row) */
    private array $rows = [];

    /** @var array{float, float, float, float} */
    private array $startAmps = [0.0, 0.0, 0.0, 0.0];

    /** @var array{float, float, float, float} */
    private array $endAmps = [0.0, 0.0, 0.0, 0.0];

    public function begin(array $start, array $end): void
    {
        $m = $this->stretch->groups;
        foreach ([0, 1, 2, 3] as $c) {
            [$from, $to] = [$start[$c] ?? 0.0, $end[$c] ?? 0.0];
            for ($n = 0; $n < $m; $n++) {
                $this->d[$c][] = $from + (($to - $from) * ($n + 0.5)) / $m;
                $this->step[$c][] = 0.0;
            }
        }
        $this->i[3] = $this->g[3] = array_fill(0, $m, 0.0);
    }

    public function evaluate(float $part, array $start, array $end): void
    {
        foreach ([0, 1, 2, 3] as $c) {
            $moved = [];
            $step = $this->step[$c];
            foreach ($this->d[$c] as $n => $d) {
                $moved[] = $d + $part * $step[$n];
            }
            $this->moved[$c] = $moved;
            if (isset($this->stretch->loads[$c])) {
                [$this->i[$c], $this->g[$c]] = $this->stretch->loads[$c]->evaluate($moved);
            }
        }
        [$u0, $u1, $u2, $u3] = $this->moved;
        [$i0, $i1, $i2, $i3] = $this->i;
        $m = $this->fourth();
        $a = $this->own - $this->other;
        $last = count($u0) - 1;
        [$t0, $t1, $t2] = $start;
        $t3 = $start[3] ?? 0.0;
        $f0 = $f1 = $f2 = $f3 = [];
        $in0 = $in1 = $in2 = $in3 = 0.0;
        for ($n = 0; $n <= $last + 1; $n++) {
            if ($n > $last) {
                [$x0, $x1, $x2] = $end;
                $x3 = $end[3] ?? 0.0;
            } else {
                $x0 = $u0[$n];
                $x1 = $u1[$n];
                $x2 = $u2[$n];
                $x3 = $u3[$n];
            }
            $h = $n === 0 || $n > $last ? $this->perHalf : $this->perPitch;
            $x0 = $t0 - $x0;
            $x1 = $t1 - $x1;
            $x2 = $t2 - $x2;
            $x3 = $t3 - $x3;
            $all = $h * $this->other * ($x0 + $x1 + $x2 + $m * $x3);
            $h *= $a;
            $out0 = $h * $x0 + $all;
            $out1 = $h * $x1 + $all;
            $out2 = $h * $x2 + $all;
            $out3 = $h * $x3 + $m * $all;
            if ($n === 0) {
                $this->startAmps = [$out0, $out1, $out2, $out3];
            } else {
                $k = $n - 1;
                $f0[] = $in0 - $out0 - $i0[$k];
                $f1[] = $in1 - $out1 - $i1[$k];
                $f2[] = $in2 - $out2 - $i2[$k];
                $f3[] = $in3 - $out3 - $i3[$k];
            }
            $in0 = $out0;
            $in1 = $out1;
            $in2 = $out2;
            $in3 = $out3;
            if ($n <= $last) {
                $t0 = $u0[$n];
                $t1 = $u1[$n];
                $t2 = $u2[$n];
                $t3 = $u3[$n];
            }
        }
        $this->endAmps = [-$in0, -$in1, -$in2, -$in3];
        $this->f = [$f0, $f1, $f2, $f3];
    }

    public function accept(): void
    {
        $this->d = $this->moved;
    }

    public function condense(): CondensedStretch
    {
        [$condensed, $this->rows] = QuadElimination::for(
            f: $this->f,
            g: $this->g,
            a: $this->own - $this->other,
            b: $this->other,
            perPitch: $this->perPitch,
            h: $this->perHalf,
            channels: $this->stretch->channels(),
        );

        return $condensed;
    }

    public function expand(array $start, array $end): void
    {
        $m = $this->fourth();
        $a = $this->own - $this->other;
        $b = $this->other;
        [$s0, $s1, $s2] = $start;
        $s3 = $start[3] ?? 0.0;
        [$x0, $x1, $x2] = $end;
        $x3 = $end[3] ?? 0.0;
        $after = $this->perHalf;
        $step0 = $step1 = $step2 = $step3 = [];
        for ($n = count($this->rows) - 1; $n >= 0; $n--) {
            [
                $p00,
                $p01,
                $p02,
                $p03,
                $p11,
                $p12,
                $p13,
                $p22,
                $p23,
                $p33,
                $r0,
                $r1,
                $r2,
                $r3,
                $c00,
                $c01,
                $c02,
                $c03,
                $c10,
                $c11,
                $c12,
                $c13,
                $c20,
                $c21,
                $c22,
                $c23,
                $c30,
                $c31,
                $c32,
                $c33,
            ] = $this->rows[$n];
            $all = $after * $b * ($x0 + $x1 + $x2 + $m * $x3);
            $k = $after * $a;
            $y0 = $r0 + $c00 * $s0 + $c01 * $s1 + $c02 * $s2 + $c03 * $s3 + $k * $x0 + $all;
            $y1 = $r1 + $c10 * $s0 + $c11 * $s1 + $c12 * $s2 + $c13 * $s3 + $k * $x1 + $all;
            $y2 = $r2 + $c20 * $s0 + $c21 * $s1 + $c22 * $s2 + $c23 * $s3 + $k * $x2 + $all;
            $y3 = $r3 + $c30 * $s0 + $c31 * $s1 + $c32 * $s2 + $c33 * $s3 + $k * $x3 + $m * $all;
            $step0[] = $x0 = $p00 * $y0 + $p01 * $y1 + $p02 * $y2 + $p03 * $y3;
            $step1[] = $x1 = $p01 * $y0 + $p11 * $y1 + $p12 * $y2 + $p13 * $y3;
            $step2[] = $x2 = $p02 * $y0 + $p12 * $y1 + $p22 * $y2 + $p23 * $y3;
            $step3[] = $x3 = $p03 * $y0 + $p13 * $y1 + $p23 * $y2 + $p33 * $y3;
            $after = $this->perPitch;
        }
        $this->step = [array_reverse($step0), array_reverse($step1), array_reverse($step2), array_reverse($step3)];
    }

    public function descent(): float
    {
        $sum = 0.0;
        foreach ($this->f as $c => $residuals) {
            $step = $this->step[$c];
            foreach ($residuals as $n => $f) {
                $sum += $f * $step[$n];
            }
        }

        return $sum;
    }

    public function residual(): float
    {
        return self::largest(...$this->f);
    }

    public function step(): float
    {
        return self::largest(...$this->step);
    }

    public function startAmps(): array
    {
        return array_slice($this->startAmps, 0, $this->stretch->channels());
    }

    public function endAmps(): array
    {
        return array_slice($this->endAmps, 0, $this->stretch->channels());
    }

    public function differences(): array
    {
        if ($this->stretch->channels() === 3) {
            return [$this->d[0], $this->d[1], $this->d[2]];
        }

        return $this->d;
    }

    public function amps(): array
    {
        if ($this->stretch->channels() === 3) {
            return [$this->i[0], $this->i[1], $this->i[2]];
        }

        return $this->i;
    }

    /** 1 when there is a fourth channel, else 0. */
    private function fourth(): float
    {
        if ($this->stretch->channels() === 4) {
            return 1.0;
        }

        return 0.0;
    }
}
