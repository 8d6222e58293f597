<?php

declare(strict_types=1);

namespace EmberDusk\Bench\Faults;

/**
 * Pairs of faults that explain the readings together, excluding the best single fault. Drops and amps of two faults are multiplied, because one
 * changes the current and the other the resistance; volts between conductors are added. A tolerance for their interaction avoids losing a true pair.
 *
 * @phpstan-type Read array{shares: array<string, float>, value: float, meter: float}
 * @phpstan-type Piece array{class: string, row: int, size: int, from: list<float>, to: list<float>, length: float}
 * @phpstan-type Pair array{square: float, one: Piece, two: Piece, at: array{float, float}}
 */
final readonly class FaultPairs
{
    /** Most pairs that are kept. */
    private const MOST = 12;

    /** Most pairs that are fitted: a page's answer must not wait for more. */
    private const FITS = 2000;

    /** Share of the smaller effect by which the two together may be off. */
    private const SLACK = 0.15;

    /** Excess of the squared distance above the single fault's at which a pair is given up. */
    private const FAR = 16.0;

    /** Largest misfit of a single fault that still counts as an explanation. */
    private const MISFIT = 30.0;

    /** Steps towards the two sizes that fit best; each goes along the slopes of the last. */
    private const STEPS = 3;

    private const SLOPE = 0.01;

    /** @param  list<Pair>  $pairs  nearest first, one of each two classes; squares are those beyond the single fault's */
    private function __construct(private Predictions $of, private array $pairs) {}

    /**
     * @param  list<Read>  $readings
     * @param  string  $single  class of the single fault, or none
     * @param  float  $misfit  squared deviations of the readings from what that fault gives
     */
    public static function from(Predictions $of, array $readings, string $single, float $misfit): self
    {
        $noise = WhitenedReadings::from($of, $readings);
        $pieces = array_values(
            array_filter(
                self::pieces($of, $noise, $readings),
                static fn(array $p): bool => $p['class'] !== $single && $p['length'] > 1.0,
            ),
        );
        $limit = min($misfit, self::MISFIT) + self::FAR;
        // As near as the single fault, or where that does not fit, as readings are by their own errors: no pair has to be nearer.
        $near = $misfit <= self::MISFIT ? $misfit : (float) count($readings);
        $found = $fits = 0;
        $best = [];
        foreach (self::near($of, $noise, $readings, $pieces, sqrt($limit)) as [$i, $j]) {
            [$a, $b] = [$pieces[$i], $pieces[$j]];
            $name = "{$a['class']} {$b['class']}";
            if (($best[$name]['square'] ?? INF) <= $near) {
                continue;
            }
            [$distance, $at] = self::fit($noise, $a, $b);
            $square = max(0.0, $distance - self::SLACK * min($a['length'], $b['length'])) ** 2;
            if ($square < $limit && $square < ($best[$name]['square'] ?? INF)) {
                $best[$name] = ['square' => $square, 'one' => $a, 'two' => $b, 'at' => $at];
                $found += $square <= $near ? 1 : 0;
            }
            if ($found >= self::MOST || ++$fits >= self::FITS) {
                break;
            }
        }
        uasort($best, static fn(array $x, array $y): int => $x['square'] <=> $y['square']);

        return new self(
            $of,
            array_values(
                array_map(
                    static fn(array $p): array => ['square' => max(0.0, $p['square'] - $misfit)] + $p,
                    array_slice($best, 0, self::MOST),
                ),
            ),
        );
    }

    /** @return list<array{Fault, Fault}> nearest first */
    public function faults(): array
    {
        return array_map(
            fn(array $p): array => [$this->fault($p['one'], $p['at'][0]), $this->fault($p['two'], $p['at'][1])],
            $this->pairs,
        );
    }

    /**
     * The pairs as possibilities that readings are held against.
     *
     * @param  list<Read>  $readings
     * @param  float  $log  of the weight of a pair that is as near as the single fault does
     * @return list<Component>
     */
    public function components(array $readings, float $log): array
    {
        $all = 0.0;
        foreach ($this->pairs as $pair) {
            $all += exp(($this->pairs[0]['square'] - $pair['square']) / 2);
        }
        $components = [];
        foreach ($this->pairs as $pair) {
            $component = new Component(
                class: FaultBelief::SEVERAL,
                fault: null,
                from: $this->values($pair),
                to: null,
                least: 1.0,
                most: 1.0,
                rail: $this->of->rail,
                supply: $this->of->supply,
                prior: 1.0,
            );
            foreach ($readings as ['shares' => $shares, 'value' => $value, 'meter' => $meter]) {
                $component->take($shares, $value, $meter);
            }
            $component->log = $log - $pair['square'] / 2 - log($all);
            $components[] = $component;
        }

        return $components;
    }

    /** @param  Piece  $piece */
    private function fault(array $piece, float $at): Fault
    {
        ['fault' => $fault, 'sizes' => $sizes] = $this->of->faults[$piece['row']];
        $size = $sizes[$piece['size']];

        return $fault->sized($size + $at * (($sizes[$piece['size'] + 1] ?? $size) - $size));
    }

    /**
     * Values at all keys with both faults of a pair.
     *
     * @param  Pair  $pair
     * @return array<string, float>
     */
    private function values(array $pair): array
    {
        $one = $this->between($pair['one'], $pair['at'][0]);
        $two = $this->between($pair['two'], $pair['at'][1]);
        $values = [];
        foreach ($this->of->base as $key => $base) {
            $values[$key] = self::both($one[$key], $two[$key], $base, $this->of->multiplies($key));
        }

        return $values;
    }

    /**
     * @param  Piece  $piece
     * @return array<string, float> values at all keys with one fault
     */
    private function between(array $piece, float $at): array
    {
        $row = $this->of->faults[$piece['row']]['values'];
        $from = $row[$piece['size']];
        $to = $row[$piece['size'] + 1] ?? $from;
        $values = [];
        foreach ($from as $key => $value) {
            $values[$key] = $value + $at * ($to[$key] - $value);
        }

        return $values;
    }

    /** A value with two faults from those with each alone. */
    private static function both(float $one, float $two, float $base, bool $multiplies): float
    {
        if ($multiplies && $one * $base > 0.0 && $two * $base > 0.0) {
            return ($one * $two) / $base;
        }

        return $one + $two - $base;
    }

    /**
     * Each fault between two of its sizes, one of each class, as it moves the readings.
     *
     * @param  list<Read>  $readings
     * @return list<Piece>
     */
    private static function pieces(Predictions $of, WhitenedReadings $noise, array $readings): array
    {
        $pieces = $known = [];
        foreach ($of->faults as $n => ['fault' => $fault, 'values' => $values]) {
            $class = $fault->class();
            if (isset($known[$class])) {
                continue;
            }
            $known[$class] = true;
            $last = $fault->kind->gradual() ? max(1, count($values) - 1) : count($values);
            for ($k = 0; $k < $last; $k++) {
                $from = WhitenedReadings::values($values[$k], $readings);
                $to = $fault->kind->gradual()
                    ? WhitenedReadings::values($values[$k + 1] ?? $values[$k], $readings)
                    : $from;
                $pieces[] = [
                    'class' => $class,
                    'row' => $n,
                    'size' => $k,
                    'from' => $from,
                    'to' => $to,
                    'length' => sqrt(max(self::square($noise->moved($from)), self::square($noise->moved($to)))),
                ];
            }
        }

        return $pieces;
    }

    /**
     * Pairs of pieces whose values can reach every reading. The innermost loop of a page's answer: no function is called in it.
     *
     * @param  list<Read>  $readings
     * @param  list<Piece>  $pieces
     * @return iterable<array{int, int}>
     */
    private static function near(
        Predictions $of,
        WhitenedReadings $noise,
        array $readings,
        array $pieces,
        float $deviations,
    ): iterable {
        $room = array_map(static fn(float $d): float => $deviations * $d, $noise->deviations);
        $base = $noise->base;
        $multiplies = $noise->multiplies;
        $low = $high = [];
        foreach ($pieces as $i => $p) {
            foreach ($p['from'] as $k => $from) {
                $low[$i][$k] = min($from, $p['to'][$k]);
                $high[$i][$k] = max($from, $p['to'][$k]);
            }
        }
        $values = array_column($readings, 'value');
        $count = count($pieces);
        for ($i = 0; $i < $count; $i++) {
            $class = $pieces[$i]['class'];
            for ($j = $i + 1; $j < $count; $j++) {
                if ($pieces[$j]['class'] === $class) {
                    continue;
                }
                foreach ($values as $k => $value) {
                    $b = $base[$k];
                    $least = $low[$i][$k] + $low[$j][$k] - $b;
                    $most = $high[$i][$k] + $high[$j][$k] - $b;
                    if ($multiplies[$k]) {
                        $one = ($low[$i][$k] * $low[$j][$k]) / $b;
                        $two = ($high[$i][$k] * $high[$j][$k]) / $b;
                        $least = $one < $least ? $one : $least;
                        $most = $two > $most ? $two : $most;
                    }
                    $slack = $room[$k] + self::SLACK * ($most - $least);
                    if ($value < $least - $slack || $value > $most + $slack) {
                        continue 2;
                    }
                }
                yield [$i, $j];
            }
        }
    }

    /**
     * The two sizes at which a pair is nearest to the readings.
     *
     * @param  Piece  $a
     * @param  Piece  $b
     * @return array{float, array{float, float}} distance in deviations, and where between their sizes
     */
    private static function fit(WhitenedReadings $noise, array $a, array $b): array
    {
        $at = [0.5, 0.5];
        $left = self::left($noise, $a, $b, 0.5, 0.5);
        for ($n = 0; $n < self::STEPS; $n++) {
            $one = self::slope($left, self::left($noise, $a, $b, $at[0] + self::SLOPE, $at[1]));
            $two = self::slope($left, self::left($noise, $a, $b, $at[0], $at[1] + self::SLOPE));
            $oo = self::square($one) + 1e-9;
            $tt = self::square($two) + 1e-9;
            $ot = self::dot($one, $two);
            $ol = self::dot($one, $left);
            $tl = self::dot($two, $left);
            $det = max($oo * $tt - $ot * $ot, 1e-9 * $oo * $tt);
            $two = self::inside($at[1], ($tl * $oo - $ol * $ot) / $det);
            // If one fault reaches the end of its sizes, only the other moves on.
            $one = self::inside($at[0], ($ol - $ot * $two) / $oo);
            $two = self::inside($at[1], ($tl - $ot * $one) / $tt);
            $at = [$at[0] + $one, $at[1] + $two];
            $left = self::left($noise, $a, $b, $at[0], $at[1]);
        }

        return [sqrt(self::square($left)), $at];
    }

    /** A step from between two sizes, no further than to one of them. */
    private static function inside(float $at, float $step): float
    {
        return min(1.0, max(0.0, $at + $step)) - $at;
    }

    /**
     * Residual of the readings after two faults, in deviations.
     *
     * @param  Piece  $a
     * @param  Piece  $b
     * @return list<float>
     */
    private static function left(WhitenedReadings $noise, array $a, array $b, float $s, float $t): array
    {
        $values = [];
        foreach ($noise->base as $k => $base) {
            $values[] = self::both(
                $a['from'][$k] + $s * ($a['to'][$k] - $a['from'][$k]),
                $b['from'][$k] + $t * ($b['to'][$k] - $b['from'][$k]),
                $base,
                $noise->multiplies[$k],
            );
        }
        $left = [];
        foreach ($noise->moved($values) as $k => $moved) {
            $left[] = $noise->seen[$k] - $moved;
        }

        return $left;
    }

    /**
     * @param  list<float>  $before
     * @param  list<float>  $after
     * @return list<float> by which the rest shrinks, by the entire size
     */
    private static function slope(array $before, array $after): array
    {
        return array_map(static fn(float $x, float $y): float => ($x - $y) / self::SLOPE, $before, $after);
    }

    /** @param  list<float>  $a */
    private static function square(array $a): float
    {
        return self::dot($a, $a);
    }

    /**
     * @param  list<float>  $a
     * @param  list<float>  $b
     */
    private static function dot(array $a, array $b): float
    {
        $sum = 0.0;
        foreach ($a as $k => $v) {
            $sum += $v * $b[$k];
        }

        return $sum;
    }
}
