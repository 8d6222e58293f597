<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Order;

use EmberDusk\Joining\Task;

/** An order for large jobs: batches as long as the search lasts, always the next that costs least from where hands are. */
final readonly class Nearest
{
    public function __construct(private JoinMoves $moves) {}

    /** @return array{int, list<list<int>>} seconds and moves */
    public function for(): array
    {
        $done = $this->moves->none();
        $total = 0;
        $place = '';
        $powered = [];
        $way = [];
        while (str_contains($done, '0')) {
            $move = $this->next($done, $place, $powered);
            [$place, $powered] = [$move->cost->place, $move->cost->powered];
            $done = $this->moves->with($done, $move->numbers);
            $total += $move->cost->seconds;
            $way[] = $move->numbers;
        }

        return [$total, $way];
    }

    /** @param  array<string, true>  $powered */
    private function next(string $done, string $place, array $powered): JoinMove
    {
        $best = null;
        foreach ($this->moves->free($done) as $n) {
            if ($this->moves->shares($n)) {
                $cost = $this->moves->costs->batch([$this->moves->tasks[$n]], $place, $powered);
            } else {
                $cost = $this->moves->costs->single($this->moves->tasks[$n], $place, $powered);
            }
            if ($cost !== null && ($best === null || $cost->seconds < $best->cost->seconds)) {
                $best = new JoinMove([$n], $cost);
            }
        }
        assert($best !== null, 'something can always come next');

        if ($this->moves->shares($best->numbers[0])) {
            return $this->filled($best, $done, $place, $powered);
        }

        return $best;
    }

    /**
     * A batch made longer, each time by the one that makes it dearer by least, while the search lasts.
     *
     * @param  array<string, true>  $powered
     */
    private function filled(JoinMove $batch, string $done, string $place, array $powered): JoinMove
    {
        while (true) {
            $better = null;
            foreach ($this->moves->free($done) as $n) {
                $same =
                    $this->moves->shares($n) &&
                    $this->moves->tasks[$n]->search === $this->moves->tasks[$batch->numbers[0]]->search;
                if (!$same || in_array($n, $batch->numbers, true)) {
                    continue;
                }
                $numbers = [...$batch->numbers, $n];
                $cost = $this->moves->costs->batch(
                    array_map(fn(int $m): Task => $this->moves->tasks[$m], $numbers),
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
