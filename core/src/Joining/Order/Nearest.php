<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Order;

use EmberDusk\Joining\Task;

/** An order for large jobs: batches as long as the search lasts, always the next that costs least from where hands are. */
final readonly class Nearest
{
    /** @return array{int, list<list<int>>} seconds and moves */
    public static function for(JoinMoves $moves): array
    {
        $done = $moves->none();
        $total = 0;
        $place = '';
        $powered = [];
        $way = [];
        while (str_contains($done, '0')) {
            [$numbers, $seconds, $place, $powered] = self::next($moves, $done, $place, $powered);
            $done = $moves->with($done, $numbers);
            $total += $seconds;
            $way[] = $numbers;
        }

        return [$total, $way];
    }

    /**
     * @param  array<string, true>  $powered
     * @return array{list<int>, int, string, array<string, true>}
     */
    private static function next(JoinMoves $moves, string $done, string $place, array $powered): array
    {
        $best = null;
        foreach ($moves->free($done) as $n) {
            if ($moves->shares($n)) {
                $cost = $moves->costs->batch([$moves->tasks[$n]], $place, $powered);
            } else {
                $cost = $moves->costs->single($moves->tasks[$n], $place, $powered);
            }
            if ($cost !== null && ($best === null || $cost[0] < $best[1])) {
                $best = [[$n], ...$cost];
            }
        }
        assert($best !== null, 'something can always come next');

        if ($moves->shares($best[0][0])) {
            return self::filled($moves, $best, $done, $place, $powered);
        }

        return $best;
    }

    /**
     * A batch made longer, each time by the one that makes it dearer by least, while the search lasts.
     *
     * @param  array{list<int>, int, string, array<string, true>}  $batch
     * @param  array<string, true>  $powered
     * @return array{list<int>, int, string, array<string, true>}
     */
    private static function filled(JoinMoves $moves, array $batch, string $done, string $place, array $powered): array
    {
        while (true) {
            $better = null;
            foreach ($moves->free($done) as $n) {
                $same = $moves->shares($n) && $moves->tasks[$n]->search === $moves->tasks[$batch[0][0]]->search;
                if (!$same || in_array($n, $batch[0], true)) {
                    continue;
                }
                $numbers = [...$batch[0], $n];
                $cost = $moves->costs->batch(
                    array_map(static fn(int $m): Task => $moves->tasks[$m], $numbers),
                    $place,
                    $powered,
                );
                if ($cost !== null && ($better === null || $cost[0] < $better[1])) {
                    $better = [$numbers, ...$cost];
                }
            }
            if ($better === null) {
                return $batch;
            }
            $batch = $better;
        }
    }
}
