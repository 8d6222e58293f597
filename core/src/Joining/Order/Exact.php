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
        /** @var SplPriorityQueue<int, OrderState> $open */
        $open = new SplPriorityQueue();
        $open->insert(new OrderState(0, $moves->none(), '', [], []), 0);
        $closed = [];
        while (!$open->isEmpty()) {
            $state = $open->extract();
            assert($state instanceof OrderState);
            if (isset($closed[$state->key()])) {
                continue;
            }
            if (!str_contains($state->done, '0')) {
                return [$state->seconds, $state->way];
            }
            $closed[$state->key()] = true;
            if (count($closed) > self::MOST) {
                return null;
            }
            foreach ($moves->from($state->done, $state->place, $state->powered) as $move) {
                $next = $state->after($move, $moves->with($state->done, $move->numbers));
                if (!isset($closed[$next->key()])) {
                    $open->insert($next, -$next->seconds);
                }
            }
        }

        return null;
    }
}
