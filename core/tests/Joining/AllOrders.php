<?php

declare(strict_types=1);

namespace EmberDusk\Tests\Joining;

use EmberDusk\Joining\Roster;
use EmberDusk\Joining\Unit;

/**
 * All orders of a small Zigbee job, in turn, with prices calculated here from the joining notes alone: walking 1 m/s, 26 s of taps to a
 * search, 3 s for a unit's power, 6 s to identify, 10 s to name, 3 s for a link to take; gestures and waits in full seconds.
 */
final class AllOrders
{
    private const TAPS = 26;

    private int $best = PHP_INT_MAX;

    /** @var list<string> units that join the hub */
    private array $joins;

    /** @var list<array{string, string}> remote and light */
    private array $links = [];

    public function __construct(private readonly Roster $roster)
    {
        $lights = array_keys($roster->inRole(Unit::LIGHT));
        $remotes = array_keys($roster->inRole(Unit::REMOTE));
        $this->joins = [...$lights, ...$remotes];
        foreach ($remotes as $remote) {
            foreach ($lights as $light) {
                $this->links[] = [$remote, $light];
            }
        }
    }

    public function best(): int
    {
        $this->go($this->joins, $this->links, '', [], 0);

        return $this->best;
    }

    /**
     * @param  list<string>  $joins  left
     * @param  list<array{string, string}>  $links  left
     * @param  array<string, true>  $on
     */
    private function go(array $joins, array $links, string $place, array $on, int $cost): void
    {
        if ($cost >= $this->best) {
            return;
        }
        if ($joins === [] && $links === []) {
            $this->best = $cost;

            return;
        }
        foreach ($links as $n => [$remote, $light]) {
            if (in_array($remote, $joins, true) || in_array($light, $joins, true)) {
                continue;
            }
            $seconds = $this->walk($place, $light);
            $then = $on;
            foreach ($this->roster->inRole(Unit::LIGHT) as $id => $unit) {
                if (
                    $id !== $light &&
                    isset($then[$id]) &&
                    abs(($unit->at[0] ?? 0) - ($this->roster->unit($light)->at[0] ?? 0)) <= 2
                ) {
                    unset($then[$id]);
                    $seconds += 3;
                }
            }
            $seconds += isset($then[$light]) ? 0 : 3;
            $then[$light] = true;
            // Four presses take 1.05 s; two seconds of holding, half a second, one press take 2.5 s.
            $rest = $links;
            unset($rest[$n]);
            $this->go($joins, array_values($rest), $light, $then, $cost + $seconds + 2 + 3 + 3);
        }
        $this->batches([], $joins, $joins, $links, $place, $on, $cost);
    }

    /**
     * @param  list<string>  $batch
     * @param  list<string>  $left  that may still come into it
     * @param  list<string>  $joins
     * @param  list<array{string, string}>  $links
     * @param  array<string, true>  $on
     */
    private function batches(
        array $batch,
        array $left,
        array $joins,
        array $links,
        string $place,
        array $on,
        int $cost,
    ): void {
        foreach ($left as $unit) {
            $more = [...$batch, $unit];
            $others = array_values(array_diff($left, [$unit]));
            $seconds = 0;
            $at = $place;
            $then = $on;
            foreach ($more as $one) {
                $light = $this->roster->unit($one)->role === Unit::LIGHT;
                $seconds += $this->walk($at, $one) + ($light && !isset($then[$one]) ? 3 : 0);
                // A light: five presses in 1.4 s, joined within 6 s. The remote: 3 s, half, 1.4 s; 3 s, half, one press; joined within 5 s.
                $seconds += $light ? 2 + 6 : 9 + 5;
                if ($light) {
                    $then[$one] = true;
                }
                $at = $one;
            }
            if (count($more) > 1 && $seconds > 60) {
                continue;
            }
            $lights = array_filter($more, fn(string $u): bool => $this->roster->unit($u)->role === Unit::LIGHT);
            $seconds += self::TAPS + ($lights === [] ? 0 : 6);
            foreach ($lights as $light) {
                $seconds += $this->walk($at, $light) + 16;
                $at = $light;
            }
            $this->go(array_values(array_diff($joins, $more)), $links, $at, $then, $cost + $seconds);
            $this->batches($more, $others, $joins, $links, $place, $on, $cost);
        }
    }

    /** Metres between them in full seconds; 3 m where one of them has no spot. */
    private function walk(string $from, string $to): int
    {
        if ($from === '' || $from === $to) {
            return 0;
        }
        $a = $this->roster->unit($from)->at;
        $b = $this->roster->unit($to)->at;

        return $a === null || $b === null ? 3 : (int) ceil(abs($a[0] - $b[0]) - 1e-9);
    }
}
