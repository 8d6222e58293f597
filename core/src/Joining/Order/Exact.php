<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Order;

use SplPriorityQueue;

/** The cheapest order, by the shortest path through states of done tasks, position of the hands and powered devices. */
final readonly class Exact
{
    /** States after which it is given up: an order that is good is taken then. */
    private const MOST = 20_000;

    /**
     * @return array{int, list<list<int>>}|null seconds and moves; null when there are too many states
     */
    public static function for(JoinMoves $moves): ?array
    {
        /** @var SplPriorityQueue<int, array{int, string, string, array<string, true>, list<list<int>>}> $open */
        $open = new SplPriorityQueue();
        $open->insert([0, $moves->none(), '', [], []], 0);
        $closed = [];
        while (!$open->isEmpty()) {
            /** @var array{int, string, string, array<string, true>, list<list<int>>} $state */
            $state = $open->extract();
            [$cost, $done, $place, $powered, $way] = $state;
            $key = "{$done} {$place} " . implode(',', array_keys($powered));
            if (isset($closed[$key])) {
                continue;
            }
            if (!str_contains($done, '0')) {
                return [$cost, $way];
            }
            $closed[$key] = true;
            if (count($closed) > self::MOST) {
                return null;
            }
            foreach ($moves->from($done, $place, $powered) as [$numbers, $seconds, $to, $then]) {
                $now = $moves->with($done, $numbers);
                ksort($then);
                if (!isset($closed["{$now} {$to} " . implode(',', array_keys($then))])) {
                    $open->insert([$cost + $seconds, $now, $to, $then, [...$way, $numbers]], -($cost + $seconds));
                }
            }
        }

        return null;
    }
}
