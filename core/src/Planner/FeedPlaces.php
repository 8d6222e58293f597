<?php

declare(strict_types=1);

namespace EmberDusk\Planner;

use EmberDusk\Plan\CutMarks;
use EmberDusk\Plan\Routes\Routes;
use EmberDusk\Plan\Run;

/** Places along a run that are worth a feed from somewhere: none is as good with no longer cable. */
final readonly class FeedPlaces
{
    /** Shortest cable, in metres. */
    private const SHORT = 0.01;

    public function __construct(private Routes $routes) {}

    /**
     * Returns the places for one or two feeds that no other place beats in all of: number of feeds, length of cable, voltage drop, longest arm of strip.
     *
     * @param  array<string, list<int>>  $patterns  pads of the plain patterns
     * @param  array<string, list<int>>  $spots  pads of the places along the run
     * @return array<string, list<int>> of the places
     */
    public function worth(Run $run, CutMarks $marks, string $place, array $patterns, array $spots): array
    {
        /** @var array<int, float> $metres of cable, by pad */
        $metres = [];
        $rows = $kept = [];
        foreach ($spots === [] ? [] : $patterns + $spots as $name => $pads) {
            if (count($pads) <= 2 && $name !== Feeding::HALVES) {
                $each = array_map(
                    fn(int $pad): float => ($metres[$pad] ??= max(
                        self::SHORT,
                        $this->routes->tail($place, $run, $pad),
                    )),
                    $pads,
                );
                $ohms = 1 / array_sum(array_map(static fn(float $m): float => 1 / $m, $each));
                // Plain patterns come first at the same length.
                $rows[] = [
                    array_sum($each),
                    isset($patterns[$name]) ? 0 : 1,
                    [$ohms, Feeding::arm($marks, $pads)],
                    count($pads),
                    $name,
                ];
            }
        }
        sort($rows);
        foreach ($rows as [, , [$ohms, $arm], $count, $name]) {
            foreach ($kept[$count] ?? [] as [$less, $shorter]) {
                if ($less <= $ohms + 1e-9 && $shorter <= $arm + 1e-9) {
                    continue 2;
                }
            }
            $kept[$count][$name] = [$ohms, $arm];
        }

        return array_intersect_key($spots, array_merge(...array_values($kept)));
    }
}
