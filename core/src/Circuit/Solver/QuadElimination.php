<?php

declare(strict_types=1);

namespace EmberDusk\Circuit\Solver;

/**
 * Eliminates the groups of a stretch of three or four channels: symmetric 4 x 4 blocks written out, because it is the
 * inner loop of colour strips.
 *
 * Y = a I + b 1 1^T lets a product with Y be a sum and a multiple, so only P = D^-1 and P C are dense. With three channels the fourth is not in the
 * sums ($m is 0), has no load and stays 0.
 */
final readonly class QuadElimination
{
    /**
     * @param  array{list<float>, list<float>, list<float>, list<float>}  $f  residuals by channel and group, amps
     * @param  array{list<float>, list<float>, list<float>, list<float>}  $g  slopes of the loads, siemens
     * @param  float  $perPitch  multiples of Y between two groups, and between a pad and its group
     * @return array{CondensedStretch, list<list<float>>} and by group: inverse pivot (10), right side (4), coupling to the pad before (16, by row)
     */
    public static function for(array $f, array $g, float $a, float $b, float $perPitch, float $h, int $channels): array
    {
        $m = $channels === 4 ? 1.0 : 0.0;
        $last = count($f[0]) - 1;
        [$g0, $g1, $g2, $g3] = $g;
        [$f0, $f1, $f2, $f3] = $f;
        $p00 = $p01 = $p02 = $p03 = $p11 = 0.0;
        $p12 = $p13 = $p22 = $p23 = $p33 = 0.0;
        $c00 = $h * ($a + $b);
        $c01 = $h * $b;
        $c02 = $h * $b;
        $c03 = $h * $b * $m;
        $c10 = $h * $b;
        $c11 = $h * ($a + $b);
        $c12 = $h * $b;
        $c13 = $h * $b * $m;
        $c20 = $h * $b;
        $c21 = $h * $b;
        $c22 = $h * ($a + $b);
        $c23 = $h * $b * $m;
        $c30 = $h * $b * $m;
        $c31 = $h * $b * $m;
        $c32 = $h * $b * $m;
        $c33 = $h * ($a + $b * $m);
        $s00 = $c00;
        $s01 = $c01;
        $s02 = $c02;
        $s03 = $c03;
        $s11 = $c11;
        $s12 = $c12;
        $s13 = $c13;
        $s22 = $c22;
        $s23 = $c23;
        $s33 = $c33;
        $t0 = $r0 = 0.0;
        $t1 = $r1 = 0.0;
        $t2 = $r2 = 0.0;
        $t3 = $r3 = 0.0;
        $v00 = 0.0;
        $v01 = 0.0;
        $v02 = 0.0;
        $v03 = 0.0;
        $v10 = 0.0;
        $v11 = 0.0;
        $v12 = 0.0;
        $v13 = 0.0;
        $v20 = 0.0;
        $v21 = 0.0;
        $v22 = 0.0;
        $v23 = 0.0;
        $v30 = 0.0;
        $v31 = 0.0;
        $v32 = 0.0;
        $v33 = 0.0;
        $before = $h;
        $rows = [];
        for ($n = 0; $n <= $last; $n++) {
            $after = $n === $last ? $h : $perPitch;
            $sum = $before + $after;
            $q0 = $p00 + $p01 + $p02 + $m * $p03;
            $q1 = $p01 + $p11 + $p12 + $m * $p13;
            $q2 = $p02 + $p12 + $p22 + $m * $p23;
            $q3 = $p03 + $p13 + $p23 + $m * $p33;
            $k1 = $before * $before * $a * $a;
            $k2 = $before * $before * $a * $b;
            $k3 = $before * $before * $b * $b * ($q0 + $q1 + $q2 + $m * $q3) - $sum * $b;
            $d00 = $sum * $a + $g0[$n] - $k1 * $p00 - $k2 * 2 * $q0 - $k3;
            $d01 = -$k1 * $p01 - $k2 * ($q0 + $q1) - $k3;
            $d02 = -$k1 * $p02 - $k2 * ($q0 + $q2) - $k3;
            $d03 = -$k1 * $p03 - $k2 * ($q0 * $m + $q3) - $k3 * $m;
            $d11 = $sum * $a + $g1[$n] - $k1 * $p11 - $k2 * 2 * $q1 - $k3;
            $d12 = -$k1 * $p12 - $k2 * ($q1 + $q2) - $k3;
            $d13 = -$k1 * $p13 - $k2 * ($q1 * $m + $q3) - $k3 * $m;
            $d22 = $sum * $a + $g2[$n] - $k1 * $p22 - $k2 * 2 * $q2 - $k3;
            $d23 = -$k1 * $p23 - $k2 * ($q2 * $m + $q3) - $k3 * $m;
            $d33 = $sum * $a + $g3[$n] - $k1 * $p33 - $k2 * 2 * $q3 * $m - $k3 * $m;
            if ($n === 0) {
                $r0 = $f0[0];
                $r1 = $f1[0];
                $r2 = $f2[0];
                $r3 = $f3[0];
            } else {
                $z0 = $p00 * $r0 + $p01 * $r1 + $p02 * $r2 + $p03 * $r3;
                $z1 = $p01 * $r0 + $p11 * $r1 + $p12 * $r2 + $p13 * $r3;
                $z2 = $p02 * $r0 + $p12 * $r1 + $p22 * $r2 + $p23 * $r3;
                $z3 = $p03 * $r0 + $p13 * $r1 + $p23 * $r2 + $p33 * $r3;
                $all = $before * $b * ($z0 + $z1 + $z2 + $m * $z3);
                $k = $before * $a;
                $r0 = $f0[$n] + $k * $z0 + $all;
                $r1 = $f1[$n] + $k * $z1 + $all;
                $r2 = $f2[$n] + $k * $z2 + $all;
                $r3 = $f3[$n] + $k * $z3 + $m * $all;
                $all = $before * $b * ($v00 + $v10 + $v20 + $m * $v30);
                $c00 = $k * $v00 + $all;
                $c10 = $k * $v10 + $all;
                $c20 = $k * $v20 + $all;
                $c30 = $k * $v30 + $m * $all;
                $all = $before * $b * ($v01 + $v11 + $v21 + $m * $v31);
                $c01 = $k * $v01 + $all;
                $c11 = $k * $v11 + $all;
                $c21 = $k * $v21 + $all;
                $c31 = $k * $v31 + $m * $all;
                $all = $before * $b * ($v02 + $v12 + $v22 + $m * $v32);
                $c02 = $k * $v02 + $all;
                $c12 = $k * $v12 + $all;
                $c22 = $k * $v22 + $all;
                $c32 = $k * $v32 + $m * $all;
                $all = $before * $b * ($v03 + $v13 + $v23 + $m * $v33);
                $c03 = $k * $v03 + $all;
                $c13 = $k * $v13 + $all;
                $c23 = $k * $v23 + $all;
                $c33 = $k * $v33 + $m * $all;
            }
            $det = 1 / ($d00 * $d11 - $d01 * $d01);
            $x00 = $d11 * $det;
            $x01 = -$d01 * $det;
            $x11 = $d00 * $det;
            $y02 = $x00 * $d02 + $x01 * $d12;
            $y03 = $x00 * $d03 + $x01 * $d13;
            $y12 = $x01 * $d02 + $x11 * $d12;
            $y13 = $x01 * $d03 + $x11 * $d13;
            $w22 = $d22 - $d02 * $y02 - $d12 * $y12;
            $w23 = $d23 - $d02 * $y03 - $d12 * $y13;
            $w33 = $d33 - $d03 * $y03 - $d13 * $y13;
            $det = 1 / ($w22 * $w33 - $w23 * $w23);
            $p22 = $w33 * $det;
            $p23 = -$w23 * $det;
            $p33 = $w22 * $det;
            $p02 = -$y02 * $p22 - $y03 * $p23;
            $p03 = -$y02 * $p23 - $y03 * $p33;
            $p12 = -$y12 * $p22 - $y13 * $p23;
            $p13 = -$y12 * $p23 - $y13 * $p33;
            $p00 = $x00 - $p02 * $y02 - $p03 * $y03;
            $p01 = $x01 - $p02 * $y12 - $p03 * $y13;
            $p11 = $x11 - $p12 * $y12 - $p13 * $y13;
            $v00 = $p00 * $c00 + $p01 * $c10 + $p02 * $c20 + $p03 * $c30;
            $v01 = $p00 * $c01 + $p01 * $c11 + $p02 * $c21 + $p03 * $c31;
            $v02 = $p00 * $c02 + $p01 * $c12 + $p02 * $c22 + $p03 * $c32;
            $v03 = $p00 * $c03 + $p01 * $c13 + $p02 * $c23 + $p03 * $c33;
            $v10 = $p01 * $c00 + $p11 * $c10 + $p12 * $c20 + $p13 * $c30;
            $v11 = $p01 * $c01 + $p11 * $c11 + $p12 * $c21 + $p13 * $c31;
            $v12 = $p01 * $c02 + $p11 * $c12 + $p12 * $c22 + $p13 * $c32;
            $v13 = $p01 * $c03 + $p11 * $c13 + $p12 * $c23 + $p13 * $c33;
            $v20 = $p02 * $c00 + $p12 * $c10 + $p22 * $c20 + $p23 * $c30;
            $v21 = $p02 * $c01 + $p12 * $c11 + $p22 * $c21 + $p23 * $c31;
            $v22 = $p02 * $c02 + $p12 * $c12 + $p22 * $c22 + $p23 * $c32;
            $v23 = $p02 * $c03 + $p12 * $c13 + $p22 * $c23 + $p23 * $c33;
            $v30 = $p03 * $c00 + $p13 * $c10 + $p23 * $c20 + $p33 * $c30;
            $v31 = $p03 * $c01 + $p13 * $c11 + $p23 * $c21 + $p33 * $c31;
            $v32 = $p03 * $c02 + $p13 * $c12 + $p23 * $c22 + $p33 * $c32;
            $v33 = $p03 * $c03 + $p13 * $c13 + $p23 * $c23 + $p33 * $c33;
            $s00 -= $c00 * $v00 + $c10 * $v10 + $c20 * $v20 + $c30 * $v30;
            $s01 -= $c00 * $v01 + $c10 * $v11 + $c20 * $v21 + $c30 * $v31;
            $s02 -= $c00 * $v02 + $c10 * $v12 + $c20 * $v22 + $c30 * $v32;
            $s03 -= $c00 * $v03 + $c10 * $v13 + $c20 * $v23 + $c30 * $v33;
            $s11 -= $c01 * $v01 + $c11 * $v11 + $c21 * $v21 + $c31 * $v31;
            $s12 -= $c01 * $v02 + $c11 * $v12 + $c21 * $v22 + $c31 * $v32;
            $s13 -= $c01 * $v03 + $c11 * $v13 + $c21 * $v23 + $c31 * $v33;
            $s22 -= $c02 * $v02 + $c12 * $v12 + $c22 * $v22 + $c32 * $v32;
            $s23 -= $c02 * $v03 + $c12 * $v13 + $c22 * $v23 + $c32 * $v33;
            $s33 -= $c03 * $v03 + $c13 * $v13 + $c23 * $v23 + $c33 * $v33;
            $t0 += $v00 * $r0 + $v10 * $r1 + $v20 * $r2 + $v30 * $r3;
            $t1 += $v01 * $r0 + $v11 * $r1 + $v21 * $r2 + $v31 * $r3;
            $t2 += $v02 * $r0 + $v12 * $r1 + $v22 * $r2 + $v32 * $r3;
            $t3 += $v03 * $r0 + $v13 * $r1 + $v23 * $r2 + $v33 * $r3;
            $rows[] = [
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
            ];
            $before = $after;
        }
        $q0 = $p00 + $p01 + $p02 + $m * $p03;
        $q1 = $p01 + $p11 + $p12 + $m * $p13;
        $q2 = $p02 + $p12 + $p22 + $m * $p23;
        $q3 = $p03 + $p13 + $p23 + $m * $p33;
        $k1 = $h * $h * $a * $a;
        $k2 = $h * $h * $a * $b;
        $k3 = $h * $h * $b * $b * ($q0 + $q1 + $q2 + $m * $q3) - $h * $b;
        $e00 = $h * $a - $k1 * $p00 - $k2 * 2 * $q0 - $k3;
        $e01 = -$k1 * $p01 - $k2 * ($q0 + $q1) - $k3;
        $e02 = -$k1 * $p02 - $k2 * ($q0 + $q2) - $k3;
        $e03 = -$k1 * $p03 - $k2 * ($q0 * $m + $q3) - $k3 * $m;
        $e11 = $h * $a - $k1 * $p11 - $k2 * 2 * $q1 - $k3;
        $e12 = -$k1 * $p12 - $k2 * ($q1 + $q2) - $k3;
        $e13 = -$k1 * $p13 - $k2 * ($q1 * $m + $q3) - $k3 * $m;
        $e22 = $h * $a - $k1 * $p22 - $k2 * 2 * $q2 - $k3;
        $e23 = -$k1 * $p23 - $k2 * ($q2 * $m + $q3) - $k3 * $m;
        $e33 = $h * $a - $k1 * $p33 - $k2 * 2 * $q3 * $m - $k3 * $m;
        $z0 = $p00 * $r0 + $p01 * $r1 + $p02 * $r2 + $p03 * $r3;
        $z1 = $p01 * $r0 + $p11 * $r1 + $p12 * $r2 + $p13 * $r3;
        $z2 = $p02 * $r0 + $p12 * $r1 + $p22 * $r2 + $p23 * $r3;
        $z3 = $p03 * $r0 + $p13 * $r1 + $p23 * $r2 + $p33 * $r3;
        $all = $h * $b * ($z0 + $z1 + $z2 + $m * $z3);
        $k = $h * $a;
        $u0 = $h * $b * ($v00 + $v10 + $v20 + $m * $v30);
        $u1 = $h * $b * ($v01 + $v11 + $v21 + $m * $v31);
        $u2 = $h * $b * ($v02 + $v12 + $v22 + $m * $v32);
        $u3 = $h * $b * ($v03 + $v13 + $v23 + $m * $v33);

        return [
            new CondensedStretch(
                startStart: self::square(
                    [
                        [$s00, $s01, $s02, $s03],
                        [$s01, $s11, $s12, $s13],
                        [$s02, $s12, $s22, $s23],
                        [$s03, $s13, $s23, $s33],
                    ],
                    $channels,
                ),
                startEnd: self::square(
                    [
                        [-$k * $v00 - $u0, -$k * $v10 - $u0, -$k * $v20 - $u0, -$k * $v30 - $m * $u0],
                        [-$k * $v01 - $u1, -$k * $v11 - $u1, -$k * $v21 - $u1, -$k * $v31 - $m * $u1],
                        [-$k * $v02 - $u2, -$k * $v12 - $u2, -$k * $v22 - $u2, -$k * $v32 - $m * $u2],
                        [-$k * $v03 - $u3, -$k * $v13 - $u3, -$k * $v23 - $u3, -$k * $v33 - $m * $u3],
                    ],
                    $channels,
                ),
                endEnd: self::square(
                    [
                        [$e00, $e01, $e02, $e03],
                        [$e01, $e11, $e12, $e13],
                        [$e02, $e12, $e22, $e23],
                        [$e03, $e13, $e23, $e33],
                    ],
                    $channels,
                ),
                start: array_slice([$t0, $t1, $t2, $t3], 0, $channels),
                end: array_slice(
                    [$k * $z0 + $all, $k * $z1 + $all, $k * $z2 + $all, $k * $z3 + $m * $all],
                    0,
                    $channels,
                ),
            ),
            $rows,
        ];
    }

    /**
     * @param  list<list<float>>  $matrix
     * @return list<list<float>> its first rows and columns
     */
    private static function square(array $matrix, int $size): array
    {
        return array_map(static fn(array $row): array => array_slice($row, 0, $size), array_slice($matrix, 0, $size));
    }
}
