<?php

declare(strict_types=1);

namespace EmberDusk\Plan\Routes;

use EmberDusk\Plan\DataLine;
use EmberDusk\Plan\Plan;

/**
 * Order and direction of the runs of one data line with the least lead. A state is a run with its direction: 2 n takes the data in at the start of run n,
 * 2 n + 1 at its end.
 */
final readonly class DataRoute
{
    /** Most runs of which every order is compared. */
    public const EXACT = 9;

    /**
     * @param  list<float>  $first  metres from the board to each state
     * @param  list<list<float>>  $between  metres from where a state leaves to where another takes the data in
     */
    private function __construct(private array $first, private array $between) {}

    /** The line in its best order; null if a position is unknown. */
    public static function best(Plan $plan, DataLine $line): ?DataLine
    {
        $in = $out = [];
        foreach ($line->runs as $id) {
            $run = $plan->run($id);
            $ends = [CableWay::pad($plan, $run, 0), CableWay::pad($plan, $run, $plan->of($run)->marks()->lastPad())];
            array_push($in, ...$ends);
            array_push($out, ...array_reverse($ends));
        }
        $from = static fn(?CablePoint $a): array => array_map(
            static fn(?CablePoint $b): float => CableWay::joining($plan, $a, $b)?->metres() ?? INF,
            $in,
        );
        $between = array_map($from, $out);
        if (in_array(INF, array_merge(...$between), true)) {
            return null;
        }
        $first = $from(CableWay::where($plan, $line->board));
        // A board that stands nowhere, or elsewhere, has no say in it.
        $first = in_array(INF, $first, true) ? array_fill(0, count($in), 0.0) : $first;
        [$first, $between] = self::without(self::forbidden($plan, $line), $first, $between);
        $states = self::order($first, $between);
        $runs = $reversed = [];
        foreach ($states as $state) {
            $runs[] = $line->runs[intdiv($state, 2)];
            if ($state % 2 === 1) {
                $reversed[] = $line->runs[intdiv($state, 2)];
            }
        }

        return new DataLine($line->id, $line->board, $runs, $reversed, $line->mirrors);
    }

    /** @return list<int> states of the runs that must not turn: the other way than now */
    private static function forbidden(Plan $plan, DataLine $line): array
    {
        $states = [];
        foreach ($line->runs as $n => $id) {
            if ($plan->of($plan->run($id))->directed()) {
                $states[] = 2 * $n + (in_array($id, $line->reversed, true) ? 0 : 1);
            }
        }

        return $states;
    }

    /**
     * Leads without some states.
     *
     * @param  list<int>  $states
     * @param  list<float>  $first
     * @param  list<list<float>>  $between
     * @return array{list<float>, list<list<float>>}
     */
    public static function without(array $states, array $first, array $between): array
    {
        return [
            self::closed($states, $first),
            array_map(static fn(array $metres): array => self::closed($states, $metres), $between),
        ];
    }

    /**
     * @param  list<int>  $states
     * @param  list<float>  $metres  to each state
     * @return list<float>
     */
    private static function closed(array $states, array $metres): array
    {
        return array_map(
            static fn(int $state, float $m): float => in_array($state, $states, true) ? INF : $m,
            array_keys($metres),
            $metres,
        );
    }

    /**
     * States in the order with the least sum: exact up to EXACT runs; above, an order that no turned stretch and no moved run makes shorter.
     *
     * @param  list<float>  $first
     * @param  list<list<float>>  $between
     * @return list<int>
     */
    public static function order(array $first, array $between): array
    {
        $route = new self($first, $between);

        return count($first) <= 2 * self::EXACT ? $route->exact() : $route->improved($route->greedy());
    }

    /**
     * Metres of an order.
     *
     * @param  list<int>  $states
     */
    private function metres(array $states): float
    {
        $sum = $this->first[$states[0]];
        foreach (array_slice($states, 1) as $n => $state) {
            $sum += $this->between[$states[$n]][$state];
        }

        return $sum;
    }

    /** @return list<int> by dynamic programming over the runs that are already on the line */
    private function exact(): array
    {
        $states = count($this->first);
        $all = (1 << intdiv($states, 2)) - 1;
        $best = $before = [];
        foreach ($this->first as $state => $metres) {
            $best[1 << intdiv($state, 2)][$state] = $metres;
        }
        for ($done = 1; $done <= $all; $done++) {
            foreach ($best[$done] ?? [] as $last => $metres) {
                for ($next = 0; $next < $states; $next++) {
                    $bit = 1 << intdiv($next, 2);
                    $sum = $metres + $this->between[$last][$next];
                    if (($done & $bit) === 0 && $sum < ($best[$done | $bit][$next] ?? INF)) {
                        $best[$done | $bit][$next] = $sum;
                        $before[$done | $bit][$next] = $last;
                    }
                }
            }
        }
        $ends = $best[$all];
        asort($ends);
        $state = array_key_first($ends);
        $order = [];
        for ($done = $all; $state !== null; $done = $was) {
            $order[] = $state;
            $was = $done & ~(1 << intdiv($state, 2));
            $state = $before[$done][$state] ?? null;
        }

        return array_reverse($order);
    }

    /** @return list<int> always on to the nearest */
    private function greedy(): array
    {
        $order = [];
        $open = $this->first;
        while ($open !== []) {
            asort($open);
            $order[] = $next = (int) array_key_first($open);
            unset($open[$next], $open[$next ^ 1]);
            foreach (array_keys($open) as $state) {
                $open[$state] = $this->between[$next][$state];
            }
        }

        return $order;
    }

    /**
     * Turns stretches and moves single runs, either way round, as long as that saves.
     *
     * @param  list<int>  $order
     * @return list<int>
     */
    private function improved(array $order): array
    {
        $least = $this->metres($order);
        do {
            $shorter = false;
            foreach ($this->changed($order) as $other) {
                $metres = $this->metres($other);
                if ($metres < $least - 1e-9) {
                    [$order, $least, $shorter] = [$other, $metres, true];

                    break;
                }
            }
        } while ($shorter);

        return $order;
    }

    /**
     * @param  list<int>  $order
     * @return iterable<list<int>>
     */
    private function changed(array $order): iterable
    {
        $count = count($order);
        for ($from = 0; $from < $count; $from++) {
            for ($to = $from; $to < $count; $to++) {
                $turned = array_map(
                    static fn(int $s): int => $s ^ 1,
                    array_reverse(array_slice($order, $from, $to - $from + 1)),
                );
                yield [...array_slice($order, 0, $from), ...$turned, ...array_slice($order, $to + 1)];
            }
        }
        foreach ($order as $n => $state) {
            $others = $order;
            array_splice($others, $n, 1);
            for ($to = 0; $to < $count; $to++) {
                foreach ([$state, $state ^ 1] as $way) {
                    $moved = $others;
                    array_splice($moved, $to, 0, [$way]);
                    yield $moved;
                }
            }
        }
    }
}
