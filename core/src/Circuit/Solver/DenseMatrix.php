<?php

declare(strict_types=1);

namespace EmberDusk\Circuit\Solver;

/** Small dense matrices as lists of rows. */
final readonly class DenseMatrix
{
    /**
     * @param  list<list<float>>  $a
     * @param  list<list<float>>  $b
     * @return list<list<float>>
     */
    public static function times(array $a, array $b): array
    {
        $columns = self::turned($b);
        $product = [];
        foreach ($a as $row) {
            $product[] = self::on($columns, $row);
        }

        return $product;
    }

    /**
     * @param  list<list<float>>  $a
     * @param  list<list<float>>  $b
     * @return list<list<float>>
     */
    public static function less(array $a, array $b): array
    {
        $difference = [];
        foreach ($a as $i => $row) {
            $out = [];
            foreach ($row as $j => $value) {
                $out[] = $value - $b[$i][$j];
            }
            $difference[] = $out;
        }

        return $difference;
    }

    /**
     * @param  list<list<float>>  $a
     * @param  list<float>  $x
     * @return list<float>
     */
    public static function on(array $a, array $x): array
    {
        $y = [];
        foreach ($a as $row) {
            $sum = 0.0;
            foreach ($row as $k => $value) {
                $sum += $value * $x[$k];
            }
            $y[] = $sum;
        }

        return $y;
    }

    /**
     * @param  list<float>  $x
     * @param  list<float>  $y
     * @return list<float>
     */
    public static function sum(array $x, array $y): array
    {
        $sum = [];
        foreach ($x as $k => $value) {
            $sum[] = $value + $y[$k];
        }

        return $sum;
    }

    /**
     * @param  list<list<float>>  $a  square
     * @return list<list<float>>
     */
    public static function turned(array $a): array
    {
        return array_map(static fn(int $c): array => array_column($a, $c), array_keys($a));
    }

    /**
     * Of a symmetric, positive definite matrix, by elimination without pivoting.
     *
     * @param  list<list<float>>  $a
     * @return list<list<float>>
     */
    public static function inverse(array $a): array
    {
        foreach (array_keys($a) as $k) {
            $pivot = 1 / $a[$k][$k];
            $row = [];
            foreach ($a[$k] as $j => $value) {
                $row[] = $j === $k ? $pivot : $value * $pivot;
            }
            $next = [];
            foreach ($a as $i => $of) {
                if ($i === $k) {
                    $next[] = $row;

                    continue;
                }
                $factor = $of[$k];
                $out = [];
                foreach ($of as $j => $value) {
                    $out[] = ($j === $k ? 0.0 : $value) - $factor * $row[$j];
                }
                $next[] = $out;
            }
            $a = $next;
        }

        return $a;
    }
}
