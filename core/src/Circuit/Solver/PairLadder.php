<?php

declare(strict_types=1);

namespace EmberDusk\Circuit\Solver;

/**
 * Two channels: a tridiagonal system of symmetric 2 x 2 blocks, written out because it is the inner loop.
 */
final class PairLadder extends ChannelLadder
{
    /** @var list<array{float, float, float, float, float, float, float, float, float}> inverse pivot (3), right (2), coupling (4) */
    private array $rows = [];

    public function evaluate(float $part, array $start, array $end): void
    {
        foreach ([0, 1] as $c) {
            $moved = [];
            foreach ($this->d[$c] as $n => $d) {
                $moved[] = $d + $part * $this->step[$c][$n];
            }
            $this->moved[$c] = $moved;
            [$this->i[$c], $this->g[$c]] = $this->stretch->loads[$c]->evaluate($moved);
        }
        $a = $this->own;
        $b = $this->other;
        [$u, $v] = $this->moved;
        [$iu, $iv] = $this->i;
        $last = count($u) - 1;
        $h = $this->perHalf;
        $du = $start[0] - $u[0];
        $dv = $start[1] - $v[0];
        $inU = $h * ($a * $du + $b * $dv);
        $inV = $h * ($b * $du + $a * $dv);
        $this->startAmps = [$inU, $inV];
        $fu = $fv = [];
        for ($n = 0; $n <= $last; $n++) {
            if ($n === $last) {
                $du = $u[$n] - $end[0];
                $dv = $v[$n] - $end[1];
            } else {
                $du = $u[$n] - $u[$n + 1];
                $dv = $v[$n] - $v[$n + 1];
            }
            $h = $n === $last ? $this->perHalf : $this->perPitch;
            $outU = $h * ($a * $du + $b * $dv);
            $outV = $h * ($b * $du + $a * $dv);
            $fu[] = $inU - $outU - $iu[$n];
            $fv[] = $inV - $outV - $iv[$n];
            $inU = $outU;
            $inV = $outV;
        }
        $this->endAmps = [-$inU, -$inV];
        $this->f = [$fu, $fv];
    }

    public function condense(): CondensedStretch
    {
        $a = $this->own;
        $b = $this->other;
        [$gu, $gv] = $this->g;
        [$fu, $fv] = $this->f;
        $last = count($fu) - 1;
        $before = $this->perHalf;
        // Coupling to the pad before, rows by channel of the group, columns by channel of the pad.
        $c00 = $c11 = $before * $a;
        $c01 = $c10 = $before * $b;
        $ru = $rv = $p00 = $p01 = $p11 = 0.0;
        $s00 = $s11 = $c00;
        $s01 = $c01;
        $tu = $tv = 0.0;
        $rows = [];
        for ($n = 0; $n <= $last; $n++) {
            $after = $n === $last ? $this->perHalf : $this->perPitch;
            $sum = $before + $after;
            $d00 = $sum * $a + $gu[$n];
            $d11 = $sum * $a + $gv[$n];
            $d01 = $sum * $b;
            if ($n === 0) {
                $ru = $fu[0];
                $rv = $fv[0];
            } else {
                // E = (Y/l) P^-1 of the row before.
                $ba = $before * $a;
                $bb = $before * $b;
                $e00 = $ba * $p00 + $bb * $p01;
                $e01 = $ba * $p01 + $bb * $p11;
                $e10 = $bb * $p00 + $ba * $p01;
                $e11 = $bb * $p01 + $ba * $p11;
                $d00 -= $e00 * $ba + $e01 * $bb;
                $d01 -= $e00 * $bb + $e01 * $ba;
                $d11 -= $e10 * $bb + $e11 * $ba;
                $u = $ru;
                $ru = $fu[$n] + $e00 * $u + $e01 * $rv;
                $rv = $fv[$n] + $e10 * $u + $e11 * $rv;
                [$c00, $c10] = [$e00 * $c00 + $e01 * $c10, $e10 * $c00 + $e11 * $c10];
                [$c01, $c11] = [$e00 * $c01 + $e01 * $c11, $e10 * $c01 + $e11 * $c11];
            }
            $det = $d00 * $d11 - $d01 * $d01;
            $p00 = $d11 / $det;
            $p11 = $d00 / $det;
            $p01 = -$d01 / $det;
            // P^-1 C and P^-1 r, seen from the pad before.
            $q00 = $p00 * $c00 + $p01 * $c10;
            $q10 = $p01 * $c00 + $p11 * $c10;
            $q01 = $p00 * $c01 + $p01 * $c11;
            $q11 = $p01 * $c01 + $p11 * $c11;
            $s00 -= $c00 * $q00 + $c10 * $q10;
            $s01 -= $c00 * $q01 + $c10 * $q11;
            $s11 -= $c01 * $q01 + $c11 * $q11;
            $tu += $q00 * $ru + $q10 * $rv;
            $tv += $q01 * $ru + $q11 * $rv;
            $rows[] = [$p00, $p01, $p11, $ru, $rv, $c00, $c01, $c10, $c11];
            $before = $after;
        }
        $this->rows = $rows;
        $ha = $this->perHalf * $a;
        $hb = $this->perHalf * $b;
        // (Y/h) P^-1 of the last row, seen from the pad after.
        $e00 = $ha * $p00 + $hb * $p01;
        $e01 = $ha * $p01 + $hb * $p11;
        $e10 = $hb * $p00 + $ha * $p01;
        $e11 = $hb * $p01 + $ha * $p11;

        return new CondensedStretch(
            startStart: [[$s00, $s01], [$s01, $s11]],
            startEnd: [
                [-($e00 * $c00 + $e01 * $c10), -($e10 * $c00 + $e11 * $c10)],
                [-($e00 * $c01 + $e01 * $c11), -($e10 * $c01 + $e11 * $c11)],
            ],
            endEnd: [
                [$ha - $e00 * $ha - $e01 * $hb, $hb - $e00 * $hb - $e01 * $ha],
                [$hb - $e10 * $ha - $e11 * $hb, $ha - $e10 * $hb - $e11 * $ha],
            ],
            start: [$tu, $tv],
            end: [$e00 * $ru + $e01 * $rv, $e10 * $ru + $e11 * $rv],
        );
    }

    public function expand(array $start, array $end): void
    {
        $a = $this->own;
        $b = $this->other;
        [$su, $sv] = $start;
        [$u, $v] = $end;
        $after = $this->perHalf;
        $stepU = $stepV = [];
        for ($n = count($this->rows) - 1; $n >= 0; $n--) {
            [$p00, $p01, $p11, $ru, $rv, $c00, $c01, $c10, $c11] = $this->rows[$n];
            $x = $ru + $c00 * $su + $c01 * $sv + $after * ($a * $u + $b * $v);
            $y = $rv + $c10 * $su + $c11 * $sv + $after * ($b * $u + $a * $v);
            $stepU[] = $u = $p00 * $x + $p01 * $y;
            $stepV[] = $v = $p01 * $x + $p11 * $y;
            $after = $this->perPitch;
        }
        $this->step = [array_reverse($stepU), array_reverse($stepV)];
    }
}
