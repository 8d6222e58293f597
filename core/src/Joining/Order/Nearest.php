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
            $move = self::next($moves, $done, $place, $powered);
            [$place, $powered] = [$move->cost->place, $move->cost->powered];
            $done = $moves->with($done, $move->numbers);
            $total += $move->cost->seconds;
            $way[] = $move->numbers;
        }

        return [$total, $way];
    }

    /** @param  array<string, true>  $powered */
    private static function next(JoinMoves $moves, string $done, string $place, array $powered): JoinMove
    {
        $best = null;
        foreach ($moves->free($done) as $n) {
            if ($moves->shares($n)) {
                $cost = $moves->costs->batch([$moves->tasks[$n]], $place, $powered);
            } else {
                $cost = $moves->costs->single($moves->tasks[$n], $place, $powered);
            }
            if ($cost !== null && ($best === null || $cost->seconds < $best->cost->seconds)) {
                $best = new JoinMove([$n], $cost);
            }
        }
        assert($best !== null, 'something can always come next');

        if ($moves->shares($best->numbers[0])) {
            return self::filled($moves, $best, $done, $place, $powered);
        }

        return $best;
    }

    /**
     * A batch made longer, each time by the one that makes it dearer by least, while the search lasts.
     *
     * @param  array<string, true>  $powered
     */
    private static function filled(
        JoinMoves $moves,
        JoinMove $batch,
        string $done,
        string $place,
        array $powered,
    ): JoinMove {
        while (true) {
            $better = null;
            foreach ($moves->free($done) as $n) {
                $same = $moves->shares($n) && $moves->tasks[$n]->search === $moves->tasks[$batch->numbers[0]]->search;
                if (!$same || in_array($n, $batch->numbers, true)) {
                    continue;
                }
                $numbers = [...$batch->numbers, $n];
                $cost = $moves->costs->batch(
                    array_map(static fn(int $m): Task => $moves->tasks[$m], $numbers),
                    $place,
                    $powered,
                );
                if ($cost !== null && ($better === null || $cost->seconds < $better->cost->seconds)) {
                    $better = new JoinMove($numbers, $cost);
                }
            }
            if ($better === null) {
                return $batch;
            }
            $batch = $better;
        }
    }
}
